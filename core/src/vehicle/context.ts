import { ridingNow } from '../build/brief.ts';
import type { Build } from '../build/build.ts';
import { standsStill } from '../build/legs.ts';
import type { Taking } from '../build/remedy.ts';
import { COMMON_PACK_MASS, UNLIMITED_SPEED } from '../constants.ts';
import { donorGeometry, type DonorGeometry } from '../donor/geometry.ts';
import { chosenPlacement, packMass, type PackPlacement } from '../layout/packPlacement.ts';
import { voltsSuit } from '../pack/volts.ts';
import type { Cluster } from '../parts/gearParts.ts';
import type { Kit } from '../parts/kit.ts';
import type { LegalClass } from '../parts/law.ts';
import type { Pack, PackPlace } from '../parts/pack.ts';
import { partById, type Shelf } from '../parts/part.ts';
import { fromRest, type Foothold, type FromRest } from '../ride/fromRest.ts';
import type { RouteSteps } from '../ride/simulate.ts';
import { axleLoads, towed, type Added, type AxleLoads } from '../safety/axleLoads.ts';
import { steadySpeed } from '../ride/steady.ts';
import { chromedRims } from './rims.ts';
import { stoppingOf, type Stopping } from '../safety/stopping.ts';
import type { StartCap } from '../safety/starting.ts';
import { startCapOf } from './startCapOf.ts';
import { trailerLoads, type TrailerLoads } from '../safety/trailer.ts';
import { chosenParts, type Chosen } from './chosen.ts';
import type { Gearing } from './gearing.ts';
import { givenBy, withGiven } from './given.ts';
import {
  climbGradeOf,
  rangeBand,
  reckon,
  roadOf,
  roadSteepest,
  steadyOf,
  type RangeBand,
  type Reckoning,
  type Steady,
} from './reckon.ts';
import { ridesSpread } from './told.ts';
import { assistLimit, systemOf } from './system.ts';
import { AS_IT_IS, massOf, resolveVehicle, type Vehicle } from './vehicle.ts';

/** Whether a cluster goes on a kit’s own hub; any does where the donor’s wheel stays. */
function goesOn(cluster: Cluster | null, kit: Kit | null): boolean {
  const hub = kit?.hub?.place === 'rear' ? kit.hub : null;
  return cluster !== null && (!hub || (hub.clusterMount === cluster.mount && cluster.cogs.length <= hub.maxCogs));
}

/** How steep a start goes, rise over run, and what holds it there. */
export interface Start {
  grade: number;
  limit: StartCap['limit'] | 'the motor';
}

/** What is asked of the donor’s build alone, worked out once however many candidates are tried on it. */
class Ground {
  readonly build: Build;
  readonly chosen: Chosen;
  private drawn: DonorGeometry | undefined;
  private steep: number | undefined;
  private way: RouteSteps | undefined;
  private before: Vehicle | undefined;

  constructor(build: Build, chosen: Chosen, from?: Ground) {
    this.build = build;
    this.chosen = chosen;
    // Another survey on the same road: the road need not be cut again.
    if (from?.build.brief === build.brief) {
      this.steep = from.steep;
      this.way = from.way;
    }
  }

  get geometry(): DonorGeometry {
    return (this.drawn ??= donorGeometry(this.build.donor, ridingNow(this.build.brief).statureM));
  }

  get steepest(): number {
    return (this.steep ??= roadSteepest(this.build));
  }

  get road(): RouteSteps {
    return (this.way ??= roadOf(this.build));
  }

  get asItIs(): Vehicle {
    return (this.before ??= resolveVehicle(this.build, this.chosen.shelf, AS_IT_IS));
  }
}

const NONE: readonly Taking[] = [];
/** Parts of one remedy that was taken, and of whose finding. */
export interface TakenFix {
  /** A part's id, "donor" or "plan". */
  subject: string;
  takes: readonly Taking[];
}

/** The ground of a build with what parts taken bring in place of the donor’s own; each is made once. */
class Grounds {
  readonly base: Ground;
  private readonly made = new Map<string, Ground>();

  constructor(base: Ground) {
    this.base = base;
  }

  with(taken: readonly Taking[]): Ground {
    const { base } = this;
    const given = givenBy(base.build, base.chosen.shelf, taken);
    if (Object.keys(given).length === 0) return base;
    const key = JSON.stringify(given);
    let made = this.made.get(key);
    if (!made) this.made.set(key, (made = new Ground(withGiven(base.build, given), base.chosen, base)));
    return made;
  }
}

/** What a context is of, besides its ground. */
export interface ContextOf {
  kit: Kit | null;
  pack: Pack | null;
  detail: boolean;
  fixes: readonly TakenFix[];
}

/**
 * All that rules, figures and sheets look at: the build, the vehicle as it is and as it will be with the kit
 * and pack in question, geometry, road, gearing and laws. Each is worked out once, when first asked for.
 */
export class PlanContext {
  /** Whether remedies are worked out to the millimetre; false while thousands of cases are run through. */
  readonly detail: boolean;
  /** Parts of remedies that were taken, as far as they are for this kit and pack, the donor or the plan. */
  readonly taken: readonly Taking[];
  private readonly of: ContextOf;
  protected readonly grounds: Grounds;
  private readonly ground: Ground;
  private readonly made = new Map<string, unknown>();

  protected constructor(grounds: Grounds, of: ContextOf) {
    this.of = of;
    this.grounds = grounds;
    this.detail = of.detail;
    const about = of.fixes.length === 0 ? [] : ['donor', 'plan', of.kit?.id, of.pack?.id];
    this.taken = of.fixes.length === 0 ? NONE : of.fixes.flatMap((f) => (about.includes(f.subject) ? f.takes : []));
    this.ground = this.taken.length === 0 ? grounds.base : grounds.with(this.taken);
  }

  /** Works something out when it is first asked for, and keeps it. */
  once<T>(what: string, make: () => T): T {
    const { made } = this;
    let value = made.get(what) as T | undefined;
    if (value === undefined && !made.has(what)) made.set(what, (value = make()));
    return value as T;
  }

  /** The kit and pack in question: chosen ones, or candidates. */
  get kit(): Kit | null {
    return this.of.kit;
  }

  get pack(): Pack | null {
    return this.of.pack;
  }

  /** The context of a build with what it has chosen. */
  static of(build: Build, starter: Shelf, detail = true): PlanContext {
    const chosen = chosenParts(build, starter);
    return new PlanContext(new Grounds(new Ground(build, chosen)), {
      kit: chosen.kit,
      pack: chosen.pack,
      detail,
      fixes: [],
    });
  }

  /** The ground of a build that chose so. */
  protected static groundsOf(build: Build, chosen: Chosen): Grounds {
    return new Grounds(new Ground(build, chosen));
  }

  /** The same ground with another kit and pack on it. */
  with(kit: Kit | null, pack: Pack | null, detail = this.detail): PlanContext {
    return new PlanContext(this.grounds, { kit, pack, detail, fixes: this.of.fixes });
  }

  /** The same with remedies taken. */
  having(fixes: readonly TakenFix[]): PlanContext {
    return new PlanContext(this.grounds, { kit: this.kit, pack: this.pack, detail: this.detail, fixes });
  }

  /** The same before any remedy was taken. */
  get bare(): PlanContext {
    return this.of.fixes.length === 0 ? this : this.once('bare', () => this.having([]));
  }

  /** The same kit and pack on another build, or on the same one surveyed otherwise; chosen parts keep their ids. */
  on(build: Build): PlanContext {
    const grounds = new Grounds(new Ground(build, this.ground.chosen, this.ground));
    return new PlanContext(grounds, { kit: this.kit, pack: this.pack, detail: this.detail, fixes: this.of.fixes });
  }

  get build(): Build {
    return this.ground.build;
  }

  /** The build’s own choice, whatever candidate is in question. */
  get chosen(): Chosen {
    return this.ground.chosen;
  }

  get shelf(): Shelf {
    return this.ground.chosen.shelf;
  }

  get laws(): readonly LegalClass[] {
    return this.shelf.laws;
  }

  get geometry(): DonorGeometry {
    return this.ground.geometry;
  }

  /** Steepest stretch of the road, rise over run; 0 where no road is named. */
  get steepest(): number {
    return this.ground.steepest;
  }

  get climbGrade(): number {
    return climbGradeOf(this.steepest);
  }

  get road(): RouteSteps {
    return this.ground.road;
  }

  /** The donor before anything is done to it. */
  get asItIs(): Vehicle {
    return this.grounds.base.asItIs;
  }

  /** The vehicle with the kit and pack in question, the gears chosen, and what was taken. */
  get asItWillBe(): Vehicle {
    return this.once('asItWillBe', () => this.resolved());
  }

  /** The same, worked out now. */
  protected resolved(): Vehicle {
    const { kit, ring, cluster, hubGear } = this.chosen;
    return resolveVehicle(this.build, this.shelf, {
      kit: this.kit,
      pack: this.pack,
      // A ring is chosen for one kit's spider; another kit brings its own.
      ring: this.kit?.id === kit?.id ? ring : null,
      // Cogs chosen for another hub stay with it; cogs that a remedy brings are on where none were chosen.
      cluster: (this.kit?.id === kit?.id || goesOn(cluster, this.kit) ? cluster : null) ?? this.takenCluster,
      hubGear,
      taken: this.taken,
    });
  }

  /** Cogs among the parts of remedies that were taken. */
  private get takenCluster(): Cluster | null {
    for (const { part } of this.taken) {
      const found = partById(this.shelf, part);
      if (found?.kind === 'cluster' && goesOn(found, this.kit)) return found;
    }
    return null;
  }

  get gearing(): Gearing {
    return this.asItWillBe.gearing;
  }

  /** Where the pack in question goes: as chosen, or its best place; null where none is. */
  get packPlace(): PackPlace | null {
    return this.pack ? chosenPlacement(this, this.pack).place : null;
  }

  /**
   * Where the pack in question lies; null without one. Where a motor hangs does not move a pack by more than a hand:
   * cases run through by the thousand share one place for all kits, all else takes the place beside its own motor.
   */
  get placement(): PackPlacement | null {
    return this.once('placement', () =>
      this.pack ? chosenPlacement(this, this.pack, this.detail ? this.kit : null) : null,
    );
  }

  /** All that moves, kg. */
  get systemMassKg(): number {
    return this.asItWillBe.massKg;
  }

  /** What stands on the vehicle’s own wheels, kg: all that moves less what a trailer’s axle bears. */
  get onWheelsKg(): number {
    return this.systemMassKg - (this.trailer?.axleKg ?? 0);
  }

  /** The trailer behind with what rides on it; null where nothing is towed. */
  get trailer(): TrailerLoads | null {
    const { trailer } = this.build.brief;
    if (!trailer) return null;
    // A pack in question counts where it lies; a common one is not put on a trailer.
    return this.pack ? towed(this.build, this.added) : trailerLoads(trailer, 0);
  }

  /** The vehicle itself with kit, fittings and pack, kg; a common pack where none is in question. */
  get unladenKg(): number {
    const own = massOf(this.asItWillBe, 'vehicle', 'kit', 'fittings', 'pack');
    return this.pack ? own : own + COMMON_PACK_MASS;
  }

  /** What the conversion puts on the vehicle, each where it lies; a common pack where none is in question. */
  get added(): Added {
    return {
      kit: this.kit,
      fittingsKg: massOf(this.asItWillBe, 'fittings'),
      pack: packMass(this.pack, this.placement),
    };
  }

  /** Where the weight stands with it. */
  get axleLoads(): AxleLoads {
    return this.once('axleLoads', () => axleLoads(this.build, this.geometry, this.added));
  }

  /** How steep a start tyre and balance allow on the road's steepest stretch, whatever the motor could. */
  get startCap(): StartCap {
    return this.once('startCap', () => startCapOf(this));
  }

  /** What must be stopped and by what; null while the brakes have not been looked at. */
  get stopping(): Stopping | null {
    const { front, rear } = this.asItWillBe.brakes;
    if (front === undefined || rear === undefined) return null;
    const loads = this.trailer;
    const { trailer } = this.build.brief;
    return stoppingOf(
      { front, rear, chromed: chromedRims(this.build.donor.survey, this.asItWillBe, this.kit) },
      this.systemMassKg,
      this.axleLoads,
      this.geometry.frontAxle.x,
      trailer && loads ? { brake: trailer.brake, loads } : null,
    );
  }

  /** How fast it goes on the flat with motor and legs, and of that what the motor helps to, m/s. */
  get fastest(): { ms: number; helpedMs: number } {
    return this.once('fastest', () => {
      const { kit, pack, build } = this;
      const limit = assistLimit(build, { kit }) ?? Infinity;
      const top =
        kit && pack && voltsSuit(kit, pack)
          ? (this.steady?.top ?? steadySpeed(systemOf(build, this.asItWillBe), 0, 1)).speedMs
          : Math.min(limit, UNLIMITED_SPEED);
      // Faster than either only downhill, where the rider holds what the brief rides.
      return { ms: Math.max(top, build.brief.cruiseMs), helpedMs: Math.min(top, limit) };
    });
  }

  /** How fast it goes, starts and climbs; null without kit or pack, where their volts forbid it, or where nothing drives it. */
  get steady(): Steady | null {
    return this.once('steady', () => {
      const { kit, pack, build } = this;
      return kit && pack && voltsSuit(kit, pack) && !this.standsStill ? steadyOf(build, this.asItWillBe) : null;
    });
  }

  /** The same with the road ridden; null where that is. */
  get reckoning(): Reckoning | null {
    return this.once('reckoning', () => {
      const { steady } = this;
      return steady && reckon(this.build, this.asItWillBe, this.road, undefined, steady);
    });
  }

  /** The steepest start: the least of motor, tyre and balance, and which it is; null where nothing is reckoned. */
  get start(): Start | null {
    const { steady: r, startCap: cap } = this;
    return r && (r.startGrade <= cap.grade ? { grade: r.startGrade, limit: 'the motor' } : cap);
  }

  /** Nobody pedals and no throttle drives it: no figure of a ride holds. */
  get standsStill(): boolean {
    return this.kit !== null && standsStill(this.build, this.kit, this.laws);
  }

  /** What of tyre and balance a start hangs on. */
  get foothold(): Foothold {
    return { capGrade: this.startCap.grade, driven: this.kit?.hub?.place ?? 'rear' };
  }

  /** How a start from rest on the road's steepest stretch goes, by motor and legs; null where nothing is reckoned. */
  get fromRest(): FromRest | null {
    return this.once('fromRest', () => {
      const { steady: r } = this;
      return r && fromRest(r.hill, r.steepest, this.foothold);
    });
  }

  /** The first-order band of the range; null where nothing can be ridden. */
  get band(): RangeBand | null {
    return this.once('band', () => {
      const { reckoning, road, build } = this;
      return reckoning && rangeBand(reckoning, road, build, ridesSpread(build));
    });
  }
}
