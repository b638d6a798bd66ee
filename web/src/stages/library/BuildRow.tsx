import { Button, Menu, TextInput } from '@mantine/core';
import {
  amount,
  amountText,
  showAmount,
  vehicleKindWords,
  writeBuildFile,
  type Build,
  type BuildSummary,
} from '@sprocket/core';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { buildActions } from '../../app/buildSlice.ts';
import { useSend, useUnits } from '../../app/store.ts';
import { MiniBike } from '../../drawing/MiniBike.tsx';
import { VerdictMark } from '../../sheet/Verdict.tsx';
import { db } from '../../storage/db.ts';
import { photosOf, putPhotos } from '../../storage/photos.ts';
import { downloadText } from '../../ui/download.ts';

/** One build on the bench: how it stands, and what can be done with it. */
export function BuildRow({
  build,
  summary,
  onDelete,
}: {
  build: Build;
  summary: BuildSummary | undefined;
  onDelete: () => void;
}) {
  const send = useSend();
  const units = useUnits();
  const navigate = useNavigate();
  const [naming, setNaming] = useState(false);
  const [nameNext, setNameNext] = useState(false);

  const change = async (changes: Partial<Build>): Promise<void> => {
    const next = { ...build, ...changes, updatedAt: new Date().toISOString() };
    await db.builds.put(next);
    send(buildActions.opened(null));
  };
  const copy = async (variant: boolean): Promise<void> => {
    const now = new Date().toISOString();
    const id = crypto.randomUUID();
    await putPhotos(id, await photosOf(build.id));
    await db.builds.put({
      ...build,
      id,
      name: variant ? build.name : `${build.name}, copy`,
      variant: variant ? String.fromCharCode((build.variant.charCodeAt(0) || 64) + 1) : build.variant,
      createdAt: now,
      updatedAt: now,
    });
  };
  return (
    <li className={`build-row edge-${summary?.verdict ?? 'measure'}`} aria-busy={summary === undefined}>
      <Link to={`/build/${build.id}/${build.choice.kitId ? 'drive' : 'brief'}`} className="build-open">
        {summary ? <MiniBike drawing={summary.drawing} /> : <span className="mini" />}
        <span className="build-words">
          <span className="build-title">
            <strong>{build.name}</strong> <span className="quiet">variant {build.variant}</span>
          </span>
          <span className="quiet">
            {vehicleKindWords[build.donor.kind]} · {summary?.kitName ?? 'no kit yet'} ·{' '}
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
      {naming ? (
        <TextInput
          autoFocus
          size="xs"
          defaultValue={build.name}
          aria-label={`New name for ${build.name}`}
          maxLength={120}
          onKeyDown={(event) => {
            if (event.key === 'Enter') event.currentTarget.blur();
            if (event.key === 'Escape') setNaming(false);
          }}
          onBlur={(event) => {
            const name = event.currentTarget.value.trim();
            setNaming(false);
            if (name !== '' && name !== build.name) void change({ name });
          }}
        />
      ) : null}
      <Menu
        position="bottom-end"
        withinPortal
        onExitTransitionEnd={() => {
          // Only once the menu has handed the focus back, or it would take it from the field.
          if (nameNext) setNaming(true);
          setNameNext(false);
        }}
      >
        <Menu.Target>
          <Button variant="subtle" size="compact-sm" className="build-more" aria-label={`More for ${build.name}`}>
            More
          </Button>
        </Menu.Target>
        <Menu.Dropdown>
          <Menu.Item onClick={() => void navigate(`/build/${build.id}/brief`)}>Open at the brief</Menu.Item>
          <Menu.Item onClick={() => setNameNext(true)}>Rename</Menu.Item>
          <Menu.Item onClick={() => void copy(false)}>Duplicate</Menu.Item>
          <Menu.Item onClick={() => void copy(true)}>New variant</Menu.Item>
          <Menu.Item
            onClick={() =>
              void photosOf(build.id).then((photos) =>
                downloadText(
                  `${fileName(build)}.json`,
                  writeBuildFile(
                    build,
                    photos.map(({ item, on, dataUrl }) => ({ item, on, dataUrl })),
                  ),
                  'application/json',
                ),
              )
            }
          >
            Save as a build file
          </Menu.Item>
          <Menu.Item onClick={onDelete}>Delete</Menu.Item>
        </Menu.Dropdown>
      </Menu>
    </li>
  );
}

function fileName(build: Build): string {
  const plain = build.name
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
  return `${plain === '' ? 'build' : plain}-${build.variant.toLowerCase() || 'a'}`;
}
