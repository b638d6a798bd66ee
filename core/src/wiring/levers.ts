import type { Build } from '../build/build.ts';
import type { LeverKind, LeverPull } from '../donor/options.ts';
import type { CutoffWay } from '../build/wiring.ts';
import type { Control, CutoffActs } from '../parts/controls.ts';
import type { Kit } from '../parts/kit.ts';
import { partById, type Shelf } from '../parts/part.ts';
import { cutoffSeen, cutoffSheet, USUAL_REACH, waysFor, type CutoffOutcome, type CutoffSheet } from './cutoffs.ts';

/** One hand's lever and how it cuts. */
export interface LeverSheet {
  side: 'left' | 'right';
  /** What was surveyed of it; undefined: not looked at. */
  lever: LeverKind | undefined;
  pull: LeverPull | undefined;
  by: CutoffWay;
  chosen: boolean;
  /** Ways that will not do, each with why. */
  not: Partial<Record<CutoffWay, string>>;
  sheet: CutoffSheet | null;
  seen: CutoffOutcome | null;
  /** Its gaps were measured, so that its outcome is told and not only supposed. */
  gapsTold: boolean;
  acts: CutoffActs;
  reachM: number;
}

/** Both hands’ levers: how each is made to cut, and what that comes to. */
export function leverSheets(build: Build, kit: Kit, shelf: Shelf): LeverSheet[] {
  return (['left', 'right'] as const).map((side) => leverSheet(build, kit, shelf, side));
}

function leverSheet(build: Build, kit: Kit, shelf: Shelf, side: 'left' | 'right'): LeverSheet {
  const { survey } = build.donor;
  const choice = build.wiring.levers[side];
  const lever = survey[`${side}Lever`]?.value;
  const pull = survey[`${side}Pull`]?.value;
  const room = survey[`${side}SensorRoom`]?.value;
  const bar = survey.barShape?.value;
  const { usual, not } = waysFor(
    {
      body: lever,
      pull,
      sensorRoom: room === undefined ? undefined : room === 'yes',
      locks: survey.parkingLock?.value === 'yes',
      barKeepsOwn: bar === 'drop' || bar === 'sideSticks',
    },
    kit.controls?.cutoffs,
  );
  const part = choice.part === null ? undefined : partById(shelf, choice.part);
  const own: Control | undefined = part?.kind === 'control' ? part : undefined;
  const keepOwn = build.schools.levers === 'keepOwn' && usual === 'kitLever';
  const by = choice.by ?? (own ? (own.role === 'lever' ? 'newLever' : 'magnet') : keepOwn ? 'magnet' : usual);
  const kits = by === 'kitLever' || kit.controls?.cutoffs !== 'levers' ? kit.wiring?.cutoff : undefined;
  const cutoff = own?.cutoff ?? kits;
  const bySwitch = by === 'switch' || by === 'kitLever' || by === 'newLever';
  const acts = choice.acts ?? cutoff?.acts ?? (bySwitch ? 'switchCloses' : 'cutsWhenAway');
  const reachM = choice.reachM ?? cutoff?.reachM ?? USUAL_REACH;
  return {
    side,
    lever,
    pull,
    by,
    chosen: choice.by !== null || choice.part !== null,
    not,
    acts,
    reachM,
    gapsTold: choice.restM !== null && choice.pulledM !== null,
    sheet:
      by === 'none'
        ? null
        : cutoffSheet({
            acts,
            unplugged: choice.unplugged ?? cutoff?.unplugged ?? 'runs',
            reachM,
            restM: choice.restM,
            pulledM: choice.pulledM,
            pluggedIn: build.wiring.leads[`${side}Lever`]?.leftOff !== true,
          }),
    seen: cutoffSeen(choice),
  };
}
