/** Distance between neighbouring cogs by number of speeds, m. Source: docs/models.md, geometry. */
const COG_PITCH: Record<number, number> = {
  6: 0.0055,
  7: 0.005,
  8: 0.0048,
  9: 0.00434,
  10: 0.00395,
  11: 0.00374,
  12: 0.00365,
};
/** From the dropout's inner face to the outermost cog, m; with a spacer. Source: the same. */
const OUTER_GAP = 0.004;
const OUTER_GAP_SPACED = 0.005;
/** Half-inch pitch of a chain, m. Source: ISO 9633. */
const CHAIN_PITCH = 0.0127;

/**
 * Lines of the cogs from the frame's centre plane, m, outermost (smallest) first: OLD/2 − gap − (i − 1)·pitch.
 * @param spacingM dropout spacing; @param count cogs; a single cog sits where the fourth of seven would
 */
export function cogLines(spacingM: number, count: number, spaced = false): number[] {
  if (count <= 1) return [spacingM / 2 - OUTER_GAP - 3 * 0.005];
  const pitch = COG_PITCH[Math.max(6, Math.min(12, count))] as number;
  const outer = spacingM / 2 - (spaced ? OUTER_GAP_SPACED : OUTER_GAP);
  return Array.from({ length: count }, (_, i) => outer - i * pitch);
}

/** Angle between chain and frame, rad: atan((cog line − ring line) ÷ chainstay); plus leans outward. */
export function chainAngle(cogLineM: number, ringLineM: number, chainstayM: number): number {
  return Math.atan((cogLineM - ringLineM) / chainstayM);
}

const even = (links: number): number => 2 * Math.ceil(links / 2 - 1e-9);

/** Links of a chain round one pair, up to an even number: 2C + (F + R)/2 + (F − R)²/(4π²C), C in half inches. */
export function chainLinks(chainstayM: number, ring: number, cog: number): number {
  const c = chainstayM / CHAIN_PITCH;
  return even(2 * c + (ring + cog) / 2 + (ring - cog) ** 2 / (4 * Math.PI ** 2 * c));
}

/**
 * The workshop way: round the biggest pair past the derailleur, plus one full inch, which is two links.
 * @param growthM what a rear suspension adds to the chainstay at full travel, m
 */
export function chainLinksWorkshop(chainstayM: number, biggestRing: number, biggestCog: number, growthM = 0): number {
  const c = (chainstayM + growthM) / CHAIN_PITCH;
  const round = 2 * c + (biggestRing + biggestCog) / 2 + (biggestRing - biggestCog) ** 2 / (4 * Math.PI ** 2 * c);
  return even(round + 2);
}

/** Chain lean past which gears grind and jump under a motor, rad. Source: the trade, about 2.5°. */
export const MOST_LEAN = (2.5 * Math.PI) / 180;
