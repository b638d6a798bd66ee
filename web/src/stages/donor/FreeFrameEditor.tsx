import { Button, NativeSelect } from '@mantine/core';
import type { FreeFrame } from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { AmountField } from '../../ui/AmountField.tsx';
import { DraftText } from '../../ui/DraftText.tsx';

const first: FreeFrame = {
  corners: [
    { name: 'rear dropout', xM: 0, yM: 0.33 },
    { name: 'bracket', xM: 0.5, yM: 0.29 },
    { name: 'seat', xM: 0.34, yM: 0.78 },
    { name: 'head', xM: 1.02, yM: 0.78 },
  ],
  tubes: [
    { from: 0, to: 1, diameterM: 0.022 },
    { from: 1, to: 3, diameterM: 0.04 },
    { from: 1, to: 2, diameterM: 0.03 },
    { from: 0, to: 2, diameterM: 0.018 },
  ],
};

/** A home-built frame by its corners: how far ahead of the rear axle and above the ground, and the tubes between. */
export function FreeFrameEditor() {
  const { freeFrame } = useBuild().donor;
  const send = useSend();
  const draw = (field: string, value: FreeFrame | null): void => {
    send(buildActions.freeFrameDrawn({ field: `free.${field}`, value }));
  };
  if (!freeFrame)
    return (
      <section className="card" aria-labelledby="free-title">
        <h2 id="free-title">Frame by its corners</h2>
        <p>
          For a frame nobody’s list has: give each corner’s distance ahead of the rear axle and its height, then the
          tubes between. A corner named “head” is where it steers.
        </p>
        <Button onClick={() => draw('begin', first)}>Begin with four corners</Button>
      </section>
    );
  const { corners, tubes } = freeFrame;
  const names = corners.map((c, i) => ({ value: String(i), label: c.name }));
  const corner = (i: number, change: Partial<FreeFrame['corners'][number]>): void =>
    draw(`corner.${i}.${Object.keys(change)[0] ?? ''}`, {
      ...freeFrame,
      corners: corners.map((c, j) => (i === j ? { ...c, ...change } : c)),
    });
  const tube = (i: number, change: Partial<FreeFrame['tubes'][number]>): void =>
    draw(`tube.${i}.${Object.keys(change)[0] ?? ''}`, {
      ...freeFrame,
      tubes: tubes.map((t, j) => (i === j ? { ...t, ...change } : t)),
    });
  const dropCorner = (i: number): void =>
    draw(`corner.drop.${corners.length}`, {
      corners: corners.filter((_, j) => j !== i),
      tubes: tubes
        .filter((t) => t.from !== i && t.to !== i)
        .map((t) => ({ ...t, from: t.from > i ? t.from - 1 : t.from, to: t.to > i ? t.to - 1 : t.to })),
    });
  return (
    <section className="card" aria-labelledby="free-title">
      <h2 id="free-title">Frame by its corners</h2>
      <ul className="free-rows">
        {corners.map((c, i) => (
          <li key={i}>
            <DraftText label="Corner" value={c.name} maxLength={40} onValue={(name) => corner(i, { name })} />
            <AmountField
              label="Ahead of the rear axle"
              dimension="size"
              value={c.xM}
              min={-2}
              max={4}
              onValue={(si) => corner(i, { xM: si })}
            />
            <AmountField
              label="Above the ground"
              dimension="size"
              value={c.yM}
              min={-0.2}
              max={2.5}
              onValue={(si) => corner(i, { yM: si })}
            />
            <Button size="compact-sm" variant="subtle" disabled={corners.length < 3} onClick={() => dropCorner(i)}>
              Take off<span className="sr"> {c.name}</span>
            </Button>
          </li>
        ))}
      </ul>
      <Button
        size="compact-sm"
        variant="default"
        disabled={corners.length >= 40}
        onClick={() =>
          draw(`corner.add.${corners.length}`, {
            ...freeFrame,
            corners: [...corners, { name: `corner ${corners.length + 1}`, xM: 0.6, yM: 0.6 }],
          })
        }
      >
        Add a corner
      </Button>
      <h3>Tubes</h3>
      <ul className="free-rows">
        {tubes.map((t, i) => (
          <li key={i}>
            <NativeSelect
              label="From"
              value={String(t.from)}
              data={names}
              onChange={(e) => tube(i, { from: Number(e.currentTarget.value) })}
            />
            <NativeSelect
              label="To"
              value={String(t.to)}
              data={names}
              onChange={(e) => tube(i, { to: Number(e.currentTarget.value) })}
            />
            <AmountField
              label="Across"
              dimension="size"
              value={t.diameterM}
              min={0.008}
              max={0.12}
              onValue={(si) => tube(i, { diameterM: si })}
            />
            <Button
              size="compact-sm"
              variant="subtle"
              onClick={() =>
                draw(`tube.drop.${tubes.length}`, { ...freeFrame, tubes: tubes.filter((_, j) => j !== i) })
              }
            >
              Take off<span className="sr"> tube {i + 1}</span>
            </Button>
          </li>
        ))}
      </ul>
      <Button
        size="compact-sm"
        variant="default"
        disabled={tubes.length >= 60 || corners.length < 2}
        onClick={() =>
          draw(`tube.add.${tubes.length}`, { ...freeFrame, tubes: [...tubes, { from: 0, to: 1, diameterM: 0.03 }] })
        }
      >
        Add a tube
      </Button>
    </section>
  );
}
