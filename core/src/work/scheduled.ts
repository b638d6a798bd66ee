import type { Calendar, Window } from './calendar.ts';

/** Something to be done at the bench. Minutes. */
export interface Task {
  id: string;
  minutes: number;
  hands: 1 | 2;
  /** Tasks that come before it. */
  after: readonly string[];
  /** It must wait so long after it is done, day and night, before what comes after it. */
  waitMinutes: number;
  /** Gates it waits for. */
  needs: readonly string[];
  /** Tools it holds while it is worked on. */
  tools: readonly string[];
  /** It may be left at a window's end and gone on with at the next one's start. */
  splittable: boolean;
}

/** A part's arrival, or a tool that is to be had, from a moment on. */
export interface Gate {
  id: string;
  from: number;
}

export interface ScheduleCase {
  hands: 1 | 2;
  windows: readonly Window[];
  gates: readonly Gate[];
  tasks: readonly Task[];
}

/** When a task is done: minutes since 1970 of the local clock. */
export interface Slot {
  id: string;
  start: number;
  finish: number;
}

export interface Schedule {
  /** When the last task is done. */
  finish: number;
  tasks: Slot[];
  /** Tasks that leave the finish no play, in order of time. */
  critical: string[];
  /** No schedule can be done before. */
  bound: number;
  /** The finish is the least there is. */
  proven: boolean;
}

/** A case made ready to be searched: everything by number. */
export interface Plan {
  calendar: Calendar;
  hands: number;
  tasks: readonly Job[];
  /** Least minutes from a task's start to the end of all, windows left out: what follows it. */
  tails: readonly number[];
  /** Every time is of whole minutes: so then is every finish. */
  integral: boolean;
}

export interface Job {
  index: number;
  id: string;
  minutes: number;
  hands: number;
  wait: number;
  splittable: boolean;
  before: readonly number[];
  followers: readonly number[];
  tools: readonly number[];
  /** Its gates are open from. */
  release: number;
}
