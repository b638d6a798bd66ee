import { amount, amountText, boxWords, type BoxId, type PlugEnd, type UnitSystem, type Wiring } from '@sprocket/core';

/** A socket or lead's end on a box of the loom sheet. */
export interface LoomPort {
  id: string;
  /** Written beside it: what plugs there, or that nothing does. */
  text: string;
  plug: PlugEnd | null;
  free: boolean;
  /** Number of the lead that comes in here. */
  number: number | null;
}

/** A box of the loom sheet, with its ports from top to bottom. */
export interface LoomBox {
  id: string;
  title: string;
  note: string;
  kind: 'box' | 'adapter' | 'extension';
  ports: LoomPort[];
}

/** A lead drawn on the sheet, from port to port. */
export interface LoomEdge {
  id: string;
  from: [box: string, port: string];
  to: [box: string, port: string];
  /** Its number in the lead table. */
  number: number;
  colour: number;
}

/** One plug beside another, pin by pin: what each core is for and its colour. */
export interface PinTable {
  title: string;
  left: string;
  right: string;
  pins: { number: number; what: string; colour: string }[];
}

export interface LoomGraph {
  boxes: LoomBox[];
  edges: LoomEdge[];
  pins: PinTable[];
}

const plugWords = (plug: PlugEnd | null): string => (plug ? `${plug.colour}, ${plug.poles} ${plug.sex}` : 'fixed');

/** The loom as boxes, ports and leads: what a builder follows with a finger. Pure; laid out elsewhere. */
export function loomGraph(wiring: Wiring, units: UnitSystem): LoomGraph {
  const long = (m: number): string => amountText(amount(m, 'size', units === 'metric' ? 0 : 1), units);
  const boxes = new Map<string, LoomBox>();
  const edges: LoomEdge[] = [];
  const pins: PinTable[] = [];
  const box = (id: BoxId, note = ''): LoomBox => {
    let made = boxes.get(id);
    if (!made) boxes.set(id, (made = { id, title: boxWords[id], note, kind: 'box', ports: [] }));
    return made;
  };
  wiring.leads.forEach((lead, i) => {
    const from = box(lead.from);
    const to = box(lead.to);
    const number = i + 1;
    const own = lead.part === null ? '' : `${lead.what}, `;
    const text = lead.suppliedM === null ? `${own}length not known` : `${own}${long(lead.suppliedM)}`;
    const start: LoomPort = {
      id: `${lead.id}-from`,
      text: plugWords(lead.plug),
      plug: lead.plug,
      free: false,
      number: null,
    };
    const end: LoomPort = { id: `${lead.id}-to`, text, plug: null, free: false, number };
    from.ports.push(start);
    to.ports.push(end);
    // What stands between: an adapter at the joint, an extension in the lead.
    const between: LoomBox[] = [];
    if (lead.joint.is === 'adapter')
      between.push({
        id: `${lead.id}-adapter`,
        title: 'adapter',
        note: lead.plug && lead.socket ? `${lead.socket.family}\nto ${lead.plug.family}` : '',
        kind: 'adapter',
        ports: [],
      });
    if (lead.taken?.extension)
      between.push({
        id: `${lead.id}-extension`,
        title: 'extension',
        note: long(lead.taken.extension.lengthM),
        kind: 'extension',
        ports: [],
      });
    let at: [string, string] = [from.id, start.id];
    for (const b of between) {
      b.ports.push(
        { id: `${b.id}-in`, text: '', plug: null, free: false, number: null },
        { id: `${b.id}-out`, text: '', plug: null, free: false, number: null },
      );
      boxes.set(b.id, b);
      edges.push({ id: `${lead.id}-${b.id}`, from: at, to: [b.id, `${b.id}-in`], number, colour: i });
      at = [b.id, `${b.id}-out`];
    }
    edges.push({ id: lead.id, from: at, to: [to.id, end.id], number, colour: i });
    if (
      lead.cores.length > 0 &&
      (lead.joint.is === 'adapter' || lead.id === 'battery' || lead.id === 'motor' || lead.id === 'halls')
    )
      pins.push({
        title: lead.what,
        left: lead.socket ? `${lead.socket.family}, ${lead.socket.sex}` : 'socket',
        right: lead.plug ? `${lead.plug.family}, ${lead.plug.sex}` : 'plug',
        pins: lead.cores.map((c, n) => ({ number: n + 1, what: c.what, colour: c.colour })),
      });
  });
  for (const socket of wiring.sockets)
    box(socket.box).ports.push({
      id: `free-${socket.id}`,
      text: `${socket.what}, free`,
      plug: socket.plug,
      free: true,
      number: null,
    });
  return { boxes: [...boxes.values()], edges, pins };
}
