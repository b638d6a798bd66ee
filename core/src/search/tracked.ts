import type { Build } from '../build/build.ts';
import type { Choice } from '../build/choice.ts';
import type { Finding } from '../fit/finding.ts';
import { judgeBy, takenBy } from '../fit/judge.ts';
import type { Rule } from '../fit/rule.ts';
import type { Cluster, HubGear, Ring } from '../parts/gearParts.ts';
import type { Kit } from '../parts/kit.ts';
import type { Pack, PackPlace } from '../parts/pack.ts';
import type { Shelf } from '../parts/part.ts';
import { chosenParts, type Chosen } from '../vehicle/chosen.ts';
import { PlanContext, type TakenFix } from '../vehicle/context.ts';
import { Reads } from '../vehicle/reads.ts';
import type { Vehicle } from '../vehicle/vehicle.ts';
import type { StepFacts } from '../work/steps/facts.ts';

/** What candidates differ in, slowest changing first. */
export const dimensions = ['kit', 'pack', 'place', 'hubGear', 'cluster', 'ring', 'limit', 'arms'] as const;
export type DimensionId = (typeof dimensions)[number];
const at = Object.fromEntries(dimensions.map((id, i) => [id, i])) as Record<DimensionId, number>;

/** The part of a kit or pack dimension: as it is chosen, and as it is sold or alone. */
interface KitAt {
  kit: Kit | null;
  asSold: Kit | null;
}
interface PackAt {
  pack: Pack | null;
  packAlone: Pack | null;
  shelf: Shelf;
}

/** Values of the dimensions, one candidate. */
export interface Position {
  kitId: string;
  packId: string;
  place: PackPlace;
  hubGearId: string | null;
  clusterId: string | null;
  ringId: string | null;
  limitMs: number | null;
  arms: number;
}

/** A candidate as the build file has it. */
export function choiceAt(base: Choice, p: Position): Choice {
  return {
    ...base,
    kitId: p.kitId,
    packId: p.packId,
    packPlace: p.place,
    packSpot: null,
    hubGearId: p.hubGearId,
    clusterId: p.clusterId,
    ringId: p.ringId,
    assistLimitMs: p.limitMs,
    torqueArms: p.arms,
  };
}

/** Answers that are plain data and read by many: kept by all they read. */
const BY_READS = new Set(['placement', 'axleLoads', 'startCap', 'fastest', 'reckoning', 'band', 'fromRest']);
/** Answers that many tuples of reads share. */
const ONE_OF_A_KIND = new Set(['steady']);

/**
 * A build’s context that is set to one candidate after the other. It is PlanContext itself, its getters and rules and
 * all; only what is chosen is read through marks, so that whatever did not change need not be worked out again.
 */
class TrackedContext extends PlanContext {
  private readonly reads: Reads;
  private readonly prefix: string;
  private readonly whole: Vehicle;
  private facts: unknown;
  private readonly rules = new Map<Rule, number>();

  constructor(reads: Reads, prefix: string, grounds: PlanContext['grounds'], fixes: readonly TakenFix[]) {
    super(grounds, { kit: null, pack: null, detail: true, fixes });
    this.reads = reads;
    this.prefix = prefix;
    this.whole = this.vehicleByParts();
  }

  /** The bare one of a build; what of it is chosen is read from the marks. */
  static ofBuild(reads: Reads, build: Build, chosen: Chosen): TrackedContext {
    return new TrackedContext(reads, '', PlanContext.groundsOf(build, chosen), []);
  }

  /** The same with remedies taken, as this candidate’s own findings have them. */
  override having(fixes: readonly TakenFix[]): TrackedContext {
    // Each names the candidate's own kit or pack: with this candidate all of them count.
    const counted = fixes.map((fix) => ({ ...fix, subject: 'plan' }));
    return new TrackedContext(this.reads, JSON.stringify(fixes), this.grounds, counted);
  }

  override get kit(): Kit | null {
    return this.reads.read<KitAt>(at.kit).kit;
  }

  override get pack(): Pack | null {
    return this.reads.read<PackAt>(at.pack).pack;
  }

  override once<T>(what: string, make: () => T): T {
    const name = `${this.prefix}${what}`;
    if (what === 'stepFacts') return (this.facts ??= this.factByFact(make)) as T;
    if (BY_READS.has(what)) return this.reads.ask(name, make);
    return ONE_OF_A_KIND.has(what) ? this.reads.same(name, make) : this.reads.inLine(name, make);
  }

  /** A rule’s finding. */
  findingOf(rule: Rule): Finding | null {
    return this.reads.get(this.numberOf(rule));
  }

  private numberOf(rule: Rule): number {
    let id = this.rules.get(rule);
    if (id === undefined) {
      id = this.reads.question(`${this.prefix}rule ${rule.id}`, 'by reads', () => judgeBy(rule, this));
      this.rules.set(rule, id);
    }
    return id;
  }

  /** Any other answer, kept by what it reads. */
  ask<T>(what: string, make: () => T): T {
    return this.reads.ask(`${this.prefix}${what}`, make);
  }

  /** An answer of which equal ones are one object: who reads it hangs on what it says alone. */
  same<T>(what: string, make: () => T): T {
    return this.reads.same(`${this.prefix}${what}`, make);
  }

  /** Dimensions that a rule’s finding hangs on, as bits in their order. */
  hangsOn(rule: Rule): number {
    return this.reads.maskOf(this.numberOf(rule));
  }

  override get asItWillBe(): Vehicle {
    return this.whole;
  }

  /** A vehicle each of whose parts is read by itself: a rule on tyres need not be asked again for another ring. */
  private vehicleByParts(): Vehicle {
    const { reads, prefix } = this;
    const resolved = (): Vehicle => reads.inLine(`${prefix}vehicle`, () => super.resolved());
    const part = <K extends keyof Vehicle>(key: K): Vehicle[K] =>
      reads.same(`${prefix}vehicle ${key}`, () => resolved()[key]);
    const of = this as PlanContext;
    return {
      get kit() {
        return of.kit;
      },
      get pack() {
        return of.pack;
      },
      get gearing() {
        return part('gearing');
      },
      get tyres() {
        return part('tyres');
      },
      get brakes() {
        return part('brakes');
      },
      get fittings() {
        return part('fittings');
      },
      get masses() {
        return part('masses');
      },
      get massKg() {
        return part('massKg');
      },
    };
  }

  /** The facts that steps hang on, each read by itself. A candidate has a kit, so there are some. */
  private factByFact(make: () => unknown): unknown {
    const { reads, prefix } = this;
    const facts = (): StepFacts => reads.inLine(`${prefix}all facts`, make) as StepFacts;
    return new Proxy({} as StepFacts, {
      get: (_, key) =>
        typeof key === 'string'
          ? reads.same(`${prefix}fact ${key}`, () => (facts() as unknown as Record<string, unknown>)[key])
          : undefined,
      has: (_, key) => key in facts(),
      ownKeys: () => Reflect.ownKeys(facts()),
    });
  }
}
export type { TrackedContext };

/** A build set to one candidate after the other. */
export class Bench {
  readonly base: Build;
  private readonly reads = new Reads(dimensions.length);
  private readonly bare: TrackedContext;
  private readonly having = new Map<string, TrackedContext>();
  private readonly kits = new Map<string, KitAt>();
  private readonly packs = new Map<string, PackAt>();
  private readonly gears: { ring: Map<string, Ring>; cluster: Map<string, Cluster>; hubGear: Map<string, HubGear> };
  private readonly starter: Shelf;
  readonly shelf: Shelf;

  constructor(build: Build, starter: Shelf) {
    this.base = build;
    this.starter = starter;
    const { shelf } = chosenParts({ ...build, choice: { ...build.choice, packId: null } }, starter);
    this.shelf = shelf;
    const byId = <T extends { id: string }>(parts: readonly T[]): Map<string, T> =>
      new Map(parts.map((p) => [p.id, p]));
    this.gears = { ring: byId(shelf.ring), cluster: byId(shelf.cluster), hubGear: byId(shelf.hubGear) };
    const { reads } = this;
    const { wiring } = build;
    const choice: Choice = readChoice(reads, build.choice);
    const chosen: Chosen = {
      get shelf() {
        // Packs that are joined are one on the shelf, where that pack is chosen.
        return wiring.packs === null ? shelf : reads.read<PackAt>(at.pack).shelf;
      },
      get kit() {
        return reads.read<KitAt>(at.kit).kit;
      },
      get asSold() {
        return reads.read<KitAt>(at.kit).asSold;
      },
      get pack() {
        return reads.read<PackAt>(at.pack).pack;
      },
      get packAlone() {
        return reads.read<PackAt>(at.pack).packAlone;
      },
      get ring() {
        return reads.read<Ring | null>(at.ring);
      },
      get cluster() {
        return reads.read<Cluster | null>(at.cluster);
      },
      get hubGear() {
        return reads.read<HubGear | null>(at.hubGear);
      },
    };
    this.bare = TrackedContext.ofBuild(reads, { ...build, choice }, chosen);
  }

  /** Sets the build to a candidate. */
  set(p: Position): TrackedContext {
    const { reads, gears } = this;
    reads.set(at.kit, this.kitAt(p.kitId));
    reads.set(at.pack, this.packAt(p.packId));
    reads.set(at.place, p.place);
    reads.set(at.hubGear, p.hubGearId === null ? null : (gears.hubGear.get(p.hubGearId) ?? null));
    reads.set(at.cluster, p.clusterId === null ? null : (gears.cluster.get(p.clusterId) ?? null));
    reads.set(at.ring, p.ringId === null ? null : (gears.ring.get(p.ringId) ?? null));
    reads.set(at.limit, p.limitMs);
    reads.set(at.arms, p.arms);
    return this.withTaken();
  }

  /** The context with what the build’s remedies bring to this candidate, found in two passes as a plan’s is. */
  private withTaken(): TrackedContext {
    const { bare } = this;
    const { fixes } = this.base;
    if (fixes.length === 0) return bare;
    const first = takenBy(bare);
    if (first.length === 0) return bare;
    const once = this.on(first);
    if (first.length === fixes.length) return once;
    const second = takenBy(once);
    return second.length === first.length ? once : this.on(second);
  }

  private on(fixes: readonly TakenFix[]): TrackedContext {
    const key = JSON.stringify(fixes);
    let made = this.having.get(key);
    if (!made) this.having.set(key, (made = this.bare.having(fixes)));
    return made;
  }

  private kitAt(id: string): KitAt {
    let made = this.kits.get(id);
    if (!made) {
      const { kit, asSold } = chosenParts({ ...this.base, choice: { ...this.base.choice, kitId: id } }, this.starter);
      this.kits.set(id, (made = { kit, asSold }));
    }
    return made;
  }

  private packAt(id: string): PackAt {
    let made = this.packs.get(id);
    if (!made) {
      const chosen = chosenParts({ ...this.base, choice: { ...this.base.choice, packId: id } }, this.starter);
      const { pack, packAlone, shelf } = chosen;
      this.packs.set(id, (made = { pack, packAlone, shelf: this.base.wiring.packs === null ? this.shelf : shelf }));
    }
    return made;
  }
}

/** A choice that is read from the marks; what no candidate differs in stays as the build has it. */
function readChoice(reads: Reads, base: Choice): Choice {
  return {
    ...base,
    packSpot: null,
    get kitId() {
      return reads.read<KitAt>(at.kit).kit?.id ?? null;
    },
    get packId() {
      return reads.read<PackAt>(at.pack).pack?.id ?? null;
    },
    get packPlace() {
      return reads.read<PackPlace>(at.place);
    },
    get ringId() {
      return reads.read<Ring | null>(at.ring)?.id ?? null;
    },
    get clusterId() {
      return reads.read<Cluster | null>(at.cluster)?.id ?? null;
    },
    get hubGearId() {
      return reads.read<HubGear | null>(at.hubGear)?.id ?? null;
    },
    get torqueArms() {
      return reads.read<number>(at.arms);
    },
    get assistLimitMs() {
      return reads.read<number | null>(at.limit);
    },
  };
}
