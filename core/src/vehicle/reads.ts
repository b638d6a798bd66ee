/**
 * What is worked out once for each tuple of what it reads. Somebody who asks the same question of a hundred thousand
 * conversions mostly asks it of the same few parts: a question notes what it read on the way to its answer, and where
 * all of that is as it was before, the answer is too. Nobody lists by hand what hangs on what, so no list can be wrong.
 */

/** What is chosen among, one value at a time. */
export type Dimension = number;
/** What may be read: a dimension, or another question’s answer. */
type ReadId = number;

interface Branch {
  read: ReadId;
  next: Map<unknown, Branch | Leaf>;
}
interface Leaf {
  value: unknown;
}
const isLeaf = (node: Branch | Leaf): node is Leaf => !('read' in node);

/** How a question’s answer is kept: by what it read; only while that stands, equal answers being one; or not at all for others. */
type Keeping = 'by reads' | 'one of a kind' | 'in line';

interface Question {
  keeping: Keeping;
  root: Branch | Leaf | null;
  made: Map<string, unknown> | null;
}

interface Frame {
  ids: ReadId[];
  seen: Set<ReadId>;
  mask: number;
}

/** At most so many dimensions: their marks share a small integer. */
const MOST_DIMENSIONS = 30;

export class Reads {
  private readonly dimensions: number;
  private readonly values: unknown[];
  /** Bits of the dimensions an answer hangs on, by read id; of a dimension its own. */
  private readonly masks: number[];
  private readonly valid: boolean[];
  private readonly questions: (Question | null)[];
  /** What an answer in line read, told again to each who asks for it. */
  private readonly told: (readonly ReadId[])[];
  private readonly ids = new Map<string, ReadId>();
  private frame: Frame | null = null;

  constructor(dimensions: number) {
    if (dimensions > MOST_DIMENSIONS) throw new RangeError(`at most ${MOST_DIMENSIONS} dimensions`);
    this.dimensions = dimensions;
    this.values = Array<unknown>(dimensions).fill(undefined);
    this.masks = Array.from({ length: dimensions }, (_, i) => 1 << i);
    this.valid = Array<boolean>(dimensions).fill(true);
    this.questions = Array<Question | null>(dimensions).fill(null);
    this.told = Array<readonly ReadId[]>(dimensions).fill([]);
  }

  /** Sets a dimension; what hung on another value of it no longer stands. */
  set(at: Dimension, value: unknown): void {
    if (this.values[at] === value) return;
    this.values[at] = value;
    const { masks, valid } = this;
    const bit = 1 << at;
    for (let id = this.dimensions; id < masks.length; id++) if (((masks[id] as number) & bit) !== 0) valid[id] = false;
  }

  /** A dimension’s value, noted as read. */
  read<T>(at: Dimension): T {
    this.note(at);
    return this.values[at] as T;
  }

  /** An answer, kept by all it reads: plain data, which reads nothing more when it is looked at later. */
  ask<T>(name: string, make: () => T): T {
    return this.answer(name, 'by reads', make);
  }

  /** An answer that is worked out anew when anything it read has changed; equal answers, by their JSON, are one object. */
  same<T>(name: string, make: () => T): T {
    return this.answer(name, 'one of a kind', make);
  }

  /** An answer kept while all it read stands as it is; who asks for it has read the same. */
  inLine<T>(name: string, make: () => T): T {
    return this.answer(name, 'in line', make);
  }

  private answer<T>(name: string, keeping: Keeping, make: () => T): T {
    return this.get(this.ids.get(name) ?? this.question(name, keeping, make), make);
  }

  /** Puts down a question, to be asked by its number: quicker where it is asked for every candidate. */
  question(name: string, keeping: Keeping, make: () => unknown): number {
    const id = this.masks.length;
    this.ids.set(name, id);
    this.masks.push(0);
    this.valid.push(false);
    this.values.push(undefined);
    this.told.push([]);
    this.questions.push({ keeping, root: null, made: keeping === 'one of a kind' ? new Map() : null });
    this.makers.push(make);
    return id;
  }

  /** The answer to a question put down before. */
  get<T>(id: number, make?: () => T): T {
    if (!this.valid[id]) {
      if (make) this.makers[id - this.dimensions] = make;
      this.bring(id);
    }
    if (this.frame) {
      if ((this.questions[id] as Question).keeping === 'in line')
        for (const read of this.told[id] as readonly ReadId[]) this.note(read);
      else this.note(id);
    }
    return this.values[id] as T;
  }

  /** Dimensions that the last answer to a question hung on, as bits. */
  maskOf(id: number): number {
    return this.masks[id] as number;
  }

  private readonly makers: (() => unknown)[] = [];

  private note(id: ReadId): void {
    const { frame } = this;
    if (!frame || frame.seen.has(id)) return;
    frame.seen.add(id);
    frame.ids.push(id);
    frame.mask |= this.masks[id] as number;
  }

  /** Makes an answer stand for the dimensions as they are. */
  private bring(id: ReadId): void {
    if (this.valid[id]) return;
    const question = this.questions[id] as Question;
    if (question.keeping === 'by reads' && this.recall(id, question)) return;
    const outer = this.frame;
    const frame: Frame = { ids: [], seen: new Set(), mask: 0 };
    this.frame = frame;
    let value: unknown;
    try {
      value = (this.makers[id - this.dimensions] as () => unknown)();
    } finally {
      this.frame = outer;
    }
    if (question.made) {
      const key = JSON.stringify(value) ?? 'undefined';
      const before = question.made.get(key);
      if (before === undefined) question.made.set(key, value);
      else value = before;
    }
    this.values[id] = value;
    this.masks[id] = frame.mask;
    this.told[id] = frame.ids;
    this.valid[id] = true;
    if (question.keeping === 'by reads') this.keep(question, frame.ids, value);
  }

  /** An answer given before to the same reads. */
  private recall(id: ReadId, { root }: Question): boolean {
    let node = root;
    let mask = 0;
    while (node && !isLeaf(node)) {
      if (node.read >= this.dimensions) this.bring(node.read);
      mask |= this.masks[node.read] as number;
      node = node.next.get(this.values[node.read]) ?? null;
    }
    if (!node) return false;
    this.values[id] = node.value;
    this.masks[id] = mask;
    this.valid[id] = true;
    return true;
  }

  private keep(question: Question, ids: readonly ReadId[], value: unknown): void {
    let parent: { branch: Branch; by: unknown } | null = null;
    let node = question.root;
    const hang = (made: Branch | Leaf): void => {
      if (parent) parent.branch.next.set(parent.by, made);
      else question.root = made;
    };
    for (const read of ids) {
      if (!node) hang((node = { read, next: new Map() }));
      if (isLeaf(node) || node.read !== read)
        throw new Error('a question read otherwise than before, though all it had read until then was the same');
      const by = this.values[read];
      parent = { branch: node, by };
      node = node.next.get(by) ?? null;
    }
    hang({ value });
  }
}
