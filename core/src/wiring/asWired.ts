import type { Build } from '../build/build.ts';
import type { Control } from '../parts/controls.ts';
import type { Kit } from '../parts/kit.ts';
import { mates, type BoxId, type Lead, type PlugEnd, type Socket } from '../parts/leads.ts';
import type { Pack } from '../parts/pack.ts';
import { partById, type Shelf } from '../parts/part.ts';

/** How a lead's plug meets what it goes into. */
export type Joint =
  | { is: 'mates' }
  | { is: 'adapter'; adapter: string | null; chosen: boolean }
  | { is: 'none'; why: string }
  | { is: 'unknown' };

/** A lead as it will be wired: the kit's, or that of a part put in its place. */
export interface WiredLead extends Omit<Lead, 'lengthM' | 'ends' | 'amps' | 'mm2'> {
  /** Null where no data says. */
  lengthM: number | null;
  mm2: number | null;
  amps: number | null;
  /** Its own plug, and the half it goes into. */
  plug: PlugEnd | null;
  socket: PlugEnd | null;
  joint: Joint;
  /** Part in place of the kit's, by id. */
  part: string | null;
  /** Plugs along it, for their length. */
  plugs: number;
}

const other = (sex: PlugEnd['sex']): PlugEnd['sex'] => (sex === 'pins' ? 'holes' : 'pins');
const mateOf = (plug: PlugEnd): PlugEnd => ({ ...plug, sex: other(plug.sex) });

/** How two halves meet, by an adapter of the shelf where they are not of one family. */
export function jointOf(plug: PlugEnd | null, socket: PlugEnd | null, shelf: Shelf, chosen: readonly string[]): Joint {
  if (!plug || !socket) return { is: 'unknown' };
  if (mates(plug, socket)) return { is: 'mates' };
  if (plug.family === socket.family && plug.poles === socket.poles)
    return { is: 'none', why: `both halves have ${plug.sex}` };
  const fits = (a: { family: string; poles: number }, b: PlugEnd): boolean =>
    a.family === b.family && a.poles === b.poles;
  const found = shelf.adapter.find(
    (a) => (fits(a.from, plug) && fits(a.to, socket)) || (fits(a.to, plug) && fits(a.from, socket)),
  );
  return { is: 'adapter', adapter: found?.id ?? null, chosen: found !== undefined && chosen.includes(found.id) };
}

/** Controls chosen in place of the kit's or besides it, by the box they are. */
export function chosenControls(build: Build, shelf: Shelf): Map<BoxId, Control> {
  const out = new Map<BoxId, Control>();
  const put = (box: BoxId, id: string | null): void => {
    const part = id === null ? undefined : partById(shelf, id);
    if (part?.kind === 'control') out.set(box, part);
  };
  const { parts, levers } = build.wiring;
  for (const box of [
    'display',
    'keypad',
    'throttle',
    'cadence',
    'speed',
    'shift',
    'frontLamp',
    'rearLamp',
    'horn',
  ] as const)
    put(box, parts[box]);
  put('leftLever', levers.left.part);
  put('rightLever', levers.right.part);
  return out;
}

const bare = (id: string, what: string, from: BoxId, to: BoxId, lengthM: number | null): WiredLead => ({
  id,
  what,
  from,
  to,
  lengthM,
  mm2: null,
  amps: null,
  volts: 60,
  colour: 'black',
  cores: [],
  splices: id === 'motor' || id === 'battery',
  plug: null,
  socket: null,
  joint: { is: 'unknown' },
  part: null,
  plugs: 1,
});

/** Leads of a kit of which no list is known: those any kit has, without lengths but the loom's. */
function commonLeads(kit: Kit): WiredLead[] {
  const own = kit.controller.place === 'its own box';
  const brain: BoxId = own ? 'controller' : 'motor';
  return [
    bare('battery', 'Battery lead', 'pack', brain, null),
    ...(own ? [bare('motor', 'Motor lead', brain, 'motor', null)] : []),
    bare('loom', 'Loom to the bar', brain, 'junction', kit.controls?.loomM ?? null),
  ];
}

/** Which socket a control in place of the kit's goes into: that of the lead it replaces, or a free one. */
function socketFor(kit: Kit, box: BoxId): { from: BoxId; plug: PlugEnd } | null {
  const lead = kit.wiring?.leads.find((l) => l.to === box);
  if (lead?.ends.from) return { from: lead.from, plug: mateOf(lead.ends.from) };
  const free = kit.wiring?.sockets.find((s) => s.serves === box);
  return free ? { from: free.box, plug: free.plug } : null;
}

/** A lead left off by choice, or a cut-off for a hand that has no lever. */
function isOff({ wiring, donor }: Build, id: string): boolean {
  const { leftLever, rightLever } = donor.survey;
  return (
    wiring.leads[id]?.leftOff === true ||
    (id === 'leftLever' && leftLever?.value === 'none') ||
    (id === 'rightLever' && rightLever?.value === 'none')
  );
}

/** A kit's own lead in the kit's own socket. */
function asItComes(lead: Lead): WiredLead {
  const plug = lead.ends.from;
  return {
    ...lead,
    plug,
    socket: plug ? mateOf(plug) : null,
    joint: plug ? { is: 'mates' } : { is: 'unknown' },
    part: null,
    plugs: (lead.ends.from ? 1 : 0) + (lead.ends.to ? 1 : 0),
  };
}

const kept = new WeakMap<readonly Lead[], readonly WiredLead[]>();

/** A kit's leads as they come, the same whatever they are wired to: made once. */
function comes(leads: readonly Lead[]): readonly WiredLead[] {
  let made = kept.get(leads);
  if (!made) kept.set(leads, (made = leads.map(asItComes)));
  return made;
}

/** Every lead of a conversion as it will be wired, the kit's first, in the order its data has them. */
export function wiredLeads(
  build: Build,
  kit: Kit,
  pack: Pack | null,
  shelf: Shelf,
  taken: readonly string[] = [],
): WiredLead[] {
  const own = chosenControls(build, shelf);
  const off = (id: string): boolean => isOff(build, id);
  const { adapter } = build.wiring.power;
  const had = adapter === null ? taken : [...taken, adapter];
  const kits = comes(kit.wiring?.leads ?? []).map((lead): WiredLead => {
    const part = own.get(lead.to);
    if (!part && lead.id !== 'battery') return lead;
    // The battery's lead goes into the pack's socket, and is as much longer as the pack brings.
    const pigtail = lead.id === 'battery' ? (pack?.discharge ?? null) : undefined;
    const plug = part ? part.plug : lead.plug;
    const socket = pigtail === undefined ? lead.socket : (pigtail?.plug ?? null);
    return {
      id: lead.id,
      what: part ? part.name : lead.what,
      from: lead.from,
      to: lead.to,
      lengthM: part ? part.tailM : lead.lengthM === null ? null : lead.lengthM + (pigtail?.leadM ?? 0),
      mm2: part ? 0.2 : lead.mm2,
      amps: part ? 1 : lead.amps,
      volts: lead.volts,
      colour: lead.colour,
      cores: lead.cores,
      splices: lead.splices,
      plug,
      socket,
      joint: jointOf(plug, socket, shelf, had),
      part: part ? part.id : lead.part,
      plugs: lead.plugs,
    };
  });
  const leads = kit.wiring ? kits : commonLeads(kit);
  // Lamps, horns and sensors that the kit did not bring, in the sockets it leaves free.
  for (const [box, part] of own) {
    if (leads.some((l) => l.to === box) || part.plug === null) continue;
    const goes = socketFor(kit, box);
    leads.push({
      ...bare(
        box,
        part.name,
        goes?.from ?? (kit.controller.place === 'its own box' ? 'controller' : 'motor'),
        box,
        part.tailM,
      ),
      mm2: 0.2,
      amps: 1,
      plug: part.plug,
      socket: goes?.plug ?? null,
      joint: goes ? jointOf(part.plug, goes.plug, shelf, had) : { is: 'none', why: 'the kit leaves no socket for it' },
      part: part.id,
    });
  }
  return leads.filter((l) => !off(l.id));
}

/** Sockets that stay empty: each is listed, sealed and labelled. */
export function freeSockets(build: Build, kit: Kit, shelf: Shelf): Socket[] {
  const own = chosenControls(build, shelf);
  const taken = new Set(own.keys());
  const out: Socket[] = [];
  for (const socket of kit.wiring?.sockets ?? []) {
    // Two sockets may serve one box; one plug fills one of them.
    if (socket.serves && taken.has(socket.serves) && !kit.wiring?.leads.some((l) => l.to === socket.serves))
      taken.delete(socket.serves);
    else out.push(socket);
  }
  for (const lead of kit.wiring?.leads ?? [])
    if (isOff(build, lead.id) && lead.ends.from)
      out.push({
        id: lead.id,
        what: lead.what.toLowerCase(),
        box: lead.from,
        plug: mateOf(lead.ends.from),
        serves: lead.to,
      });
  return out;
}
