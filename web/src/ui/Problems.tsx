import { Button } from '@mantine/core';
import type { ReadProblem } from '@sprocket/core';

/** Why a file was refused, fault by fault, each with its place. */
export function Problems({
  file,
  problems,
  onClose,
}: {
  file: string;
  problems: readonly ReadProblem[];
  onClose: () => void;
}) {
  return (
    <section className="problems" role="alert">
      <p>
        <strong>{file}</strong> was not read; nothing here has changed.
      </p>
      <ul>
        {problems.slice(0, 8).map((p) => (
          <li key={p.path + p.message}>
            <code>{p.path}</code> {p.message}
          </li>
        ))}
      </ul>
      {problems.length > 8 ? <p>And {problems.length - 8} more.</p> : null}
      <Button size="compact-sm" variant="default" onClick={onClose}>
        Close
      </Button>
    </section>
  );
}
