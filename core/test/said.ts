import { expect } from 'chai';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import type { Finding } from '../src/fit/finding.ts';
import { phraseText, type Amount } from '../src/quantity/format.ts';

const value = (v: Amount | string): string =>
  typeof v === 'string' ? v : `${Number(v.si.toPrecision(5))} ${v.dimension}`;

/** All that a finding says, a line each: verdict and title, why, what it rests on, what can be done. */
export function saidBy(finding: Finding | null | undefined): string[] {
  if (!finding) return ['nothing'];
  return [
    `${finding.verdict}: ${finding.title}`,
    phraseText(finding.why, 'metric'),
    ...finding.evidence.map((e) => `· ${e.label}: ${value(e.value)} (${e.provenance})`),
    ...finding.remedies.map(
      (r) =>
        `→ ${r.does} ${r.id}${r.takes.map((t) => ` ${t.count}×${t.part} at ${t.place}`).join('')}, ${r.work} min: ${phraseText(r.text, 'metric')}`,
    ),
  ];
}

/**
 * What was said when it was last looked at, kept in core/test/golden/said. With SPROCKET_GOLDEN=1 in the
 * environment the tests write it anew, after a change made on purpose: look at the difference before it is kept.
 */
export class Said {
  private readonly file: URL;
  private readonly kept = new Map<string, string[]>();
  private readonly writes = process.env.SPROCKET_GOLDEN === '1';

  constructor(name: string) {
    this.file = new URL(`golden/said/${name}.txt`, import.meta.url);
    if (!this.writes && existsSync(this.file)) this.read(readFileSync(this.file, 'utf8'));
  }

  /** Holds the lines under a name to those kept. */
  check(name: string, lines: readonly string[]): void {
    const plain = lines.map((line) => line.replace(/\s+/g, ' ').trim());
    if (this.writes) this.kept.set(name, plain);
    else expect(plain, name).to.deep.equal(this.kept.get(name));
  }

  /** Writes what was said, where that was asked for. */
  done(): void {
    if (!this.writes) return;
    const blocks = [...this.kept].map(([name, lines]) => `# ${name}\n${lines.map((line) => `  ${line}\n`).join('')}`);
    writeFileSync(this.file, blocks.join('\n'));
  }

  private read(text: string): void {
    let lines: string[] = [];
    for (const line of text.split('\n')) {
      if (line.startsWith('# ')) this.kept.set(line.slice(2), (lines = []));
      else if (line.startsWith('  ')) lines.push(line.slice(2));
    }
  }
}
