import { headOf } from './judge.ts';
import { driveFamilies, driveFamilyWords, type DriveFamily, type Kit } from '../parts/kit.ts';
import type { Finding } from './finding.ts';
import { bestFirst, type Verdict } from '../verdict.ts';

/** What is said for and against a family, as the trade has it. */
export const familySays: Record<DriveFamily, { pros: readonly string[]; cons: readonly string[] }> = {
  rearGeared: {
    pros: ['simple and light', 'coasts free', 'good pull at low speed'],
    cons: ['gears wear', 'hot on long climbs', 'a puncture means the axle nuts'],
  },
  rearDirect: {
    pros: ['few moving parts', 'bears load', 'silent', 'can brake electrically'],
    cons: ['heavy', 'drags unpowered', 'weak and hot when slow'],
  },
  frontHub: {
    pros: ['leaves the drivetrain alone', 'goes on trikes with two rear wheels, tandems and folders'],
    cons: ['asks a strong fork', 'spins on steep or wet', 'felt in the steering'],
  },
  midDrive: {
    pros: ['uses the gears', 'best on hills', 'weight low and in the middle'],
    cons: ['wears chain and cogs', 'wants shifting and a shift sensor', 'the bracket must suit'],
  },
  sideChain: {
    pros: ['cheap', 'leaves both wheels as they are'],
    cons: ['two clamps must seat at once', 'a second chain at the left leg', 'sprockets must line up'],
  },
};

/** One family on this donor: its best kit's verdict, how many kits remain, and why the others do not. */
export interface FamilySummary {
  family: DriveFamily;
  words: string;
  verdict: Verdict;
  best: string | null;
  remaining: number;
  /** What is open with its best kit: “2 to rework, 9 to measure”. */
  open: string;
  total: number;
  /** What stops most of its kits here, in the findings' own words, most frequent first. */
  stoppedBy: { title: string; kits: number }[];
  pros: readonly string[];
  cons: readonly string[];
}

/** Families side by side. Kits come judged, best first. */
export function summariseFamilies(
  kits: readonly { kit: Kit; verdict: Verdict; findings: readonly Finding[] }[],
): FamilySummary[] {
  return driveFamilies
    .map((family): FamilySummary => {
      const own = kits.filter((k) => k.kit.family === family);
      const best = bestFirst(own)[0];
      const head = best ? headOf(best.findings) : null;
      const stops = new Map<string, number>();
      for (const { findings } of own) {
        for (const f of findings)
          if (f.verdict === 'stop' && !f.override) stops.set(f.title, (stops.get(f.title) ?? 0) + 1);
      }
      return {
        family,
        words: driveFamilyWords[family],
        verdict: head?.verdict ?? 'measure',
        open: head?.words ?? '',
        best: best && best.verdict !== 'stop' ? best.kit.id : null,
        remaining: own.filter((k) => k.verdict !== 'stop').length,
        total: own.length,
        stoppedBy: [...stops]
          .map(([title, count]) => ({ title, kits: count }))
          .sort((a, b) => b.kits - a.kits)
          .slice(0, 3),
        ...familySays[family],
      };
    })
    .filter((f) => f.total > 0);
}
