import { z } from '../reading/zod.ts';

/** How a thing that nobody's list has stands to the kit. */
export const otherStands = ['open', 'clear', 'moves', 'blocks'] as const;
export type OtherStands = (typeof otherStands)[number];
export const otherStandsWords: Record<OtherStands, string> = {
  open: 'not looked at yet',
  clear: 'clear of it',
  moves: 'in the way, can be moved',
  blocks: 'in the way, cannot be moved',
};

/** Where on the vehicle it is. */
export const otherPlaces = ['wheel', 'shell', 'bar', 'frame'] as const;
export type OtherPlace = (typeof otherPlaces)[number];
export const otherPlaceWords: Record<OtherPlace, string> = {
  wheel: 'on the wheel or its axle',
  shell: 'at the bracket shell or cranks',
  bar: 'on the bar',
  frame: 'on the frame',
};

const otherSchema = z.object({
  id: z.string().min(1).max(40),
  what: z.string().trim().min(1).max(120),
  where: z.enum(otherPlaces),
  stands: z.enum(otherStands).default('open'),
  /** How it was judged, or where it moves to. */
  how: z.string().max(300).default(''),
});
export type Other = z.infer<typeof otherSchema>;

/** As many things as one kit's last question keeps. */
export const MOST_OTHERS = 30;

/** The last question for a kit: what else is on this wheel, shell or bar. */
export const closingSchema = z.object({
  others: z.array(otherSchema).max(MOST_OTHERS).default([]),
  /** Looked round, and nothing else is there. */
  nothingElse: z.boolean().default(false),
});
export type Closing = z.infer<typeof closingSchema>;
export const usualClosing = (): Closing => ({ others: [], nothingElse: false });
