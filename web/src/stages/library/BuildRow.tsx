import { Button, TextInput } from '@mantine/core';
import { amount, amountText, showAmount, vehicleKindWords, writeBuildFile } from '@sprocket/core';
import { lazy, Suspense, useRef, useState } from 'react';
import { Link } from 'react-router';
import { useUnits } from '../../store/store.ts';
import { MiniBike } from '../../drawing/MiniBike.tsx';
import { VerdictMark } from '../../sheet/Verdict.tsx';
import type { BenchLine } from '../../storage/bench.ts';
import { copyKept, readKept, renameKept } from '../../storage/builds.ts';
import { soundPhotos } from '../../storage/sound.ts';
import { downloadBlob, downloadText } from '../../ui/download.ts';
import { attempt } from '../../ui/attempt.ts';
import { Damaged } from './Damaged.tsx';

/** A menu weighs more than its row: it is made when it is first opened. */
const RowMenu = lazy(async () => ({ default: (await import('./RowMenu.tsx')).RowMenu }));

/** One build on the bench: how it stands, and what can be done with it. */
export function BuildRow({ line, onDelete }: { line: BenchLine; onDelete: () => void }) {
  const [naming, setNaming] = useState(false);
  const [open, setOpen] = useState(false);
  const more = useRef<HTMLButtonElement>(null);
  const { id, name, summary, fault } = line;

  return (
    <li
      className={`build-row edge-${fault === null ? (summary?.verdict ?? 'measure') : 'stop'}`}
      aria-busy={summary === null && fault === null}
    >
      {fault === null ? <Opener line={line} /> : <Damaged line={line} fault={fault} onDelete={onDelete} />}
      {naming ? (
        <TextInput
          autoFocus
          size="xs"
          defaultValue={name}
          aria-label={`New name for ${name}`}
          maxLength={120}
          onKeyDown={(event) => {
            if (event.key === 'Enter') event.currentTarget.blur();
            if (event.key === 'Escape') setNaming(false);
          }}
          onBlur={(event) => {
            const wanted = event.currentTarget.value.trim();
            setNaming(false);
            if (wanted !== '' && wanted !== name) void attempt('The new name', renameKept(id, wanted));
          }}
        />
      ) : null}
      {fault === null ? (
        <span className="build-more">
          <Button
            ref={more}
            variant="subtle"
            size="compact-sm"
            aria-label={`More for ${name}`}
            aria-haspopup="menu"
            aria-expanded={open}
            onClick={() => setOpen((was) => !was)}
          >
            More
          </Button>
          {open ? (
            <Suspense fallback={null}>
              <RowMenu
                id={id}
                onClose={(next) => {
                  setOpen(false);
                  if (next === 'name') setNaming(true);
                  else more.current?.focus();
                }}
                onCopy={(variant) => void attempt('The copy', copyKept(id, variant))}
                onSave={() => void saveFile(id)}
                onDelete={onDelete}
              />
            </Suspense>
          ) : null}
        </span>
      ) : null}
    </li>
  );
}

/** The row's face: its drawing, its names, its worst finding and its range. */
function Opener({ line }: { line: BenchLine }) {
  const units = useUnits();
  const { summary } = line;
  return (
    <Link to={`/build/${line.id}/${line.hasKit ? 'drive' : 'brief'}`} className="build-open">
      {summary ? <MiniBike drawing={summary.drawing} /> : <span className="mini" />}
      <span className="build-words">
        <span className="build-title">
          <strong>{line.name}</strong> <span className="quiet">variant {line.variant}</span>
        </span>
        <span className="quiet">
          {line.kind ? vehicleKindWords[line.kind] : 'no donor yet'} · {summary?.kitName ?? 'no kit yet'} ·{' '}
          {summary?.packName ?? 'no pack yet'}
        </span>
        <span className="build-worst">
          {summary ? (
            <>
              <VerdictMark verdict={summary.verdict} /> <span>{summary.worst ?? 'everything measured fits'}</span>
            </>
          ) : (
            <span className="quiet">being worked out…</span>
          )}
        </span>
      </span>
      <span className="build-figures num">
        {summary?.rangeM ? (
          <>
            <strong>
              {showAmount(amount(summary.rangeM.low, 'way', 0), units).number}–
              {amountText(amount(summary.rangeM.high, 'way', 0), units)}
            </strong>
            <span className="quiet">range</span>
          </>
        ) : (
          <span className="quiet">no range yet</span>
        )}
      </span>
    </Link>
  );
}

/** Most picture text that goes into a build's file as JSON, characters. */
const LARGEST_TEXT = 4_000_000;

async function saveFile(id: string): Promise<void> {
  const kept = await readKept(id);
  if (!kept?.ok) return;
  const photos = await soundPhotos({ buildId: id });
  if (photos.reduce((sum, photo) => sum + photo.dataUrl.length, 0) > LARGEST_TEXT) {
    // With many photos, a zip of the build and its pictures.
    const { writeBackup } = await import('../../storage/backup.ts');
    downloadBlob(`${fileName(kept.build)}.zip`, await writeBackup(() => undefined, [id]));
    return;
  }
  downloadText(
    `${fileName(kept.build)}.json`,
    writeBuildFile(
      kept.build,
      photos.map(({ item, on, dataUrl }) => ({ item, on, dataUrl })),
    ),
    'application/json',
  );
}

/** A file's name from a build's: small letters, figures and dashes. */
function fileName({ name, variant }: { name: string; variant: string }): string {
  const plain = name
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
  return `${plain === '' ? 'build' : plain}-${variant.toLowerCase() || 'a'}`;
}
