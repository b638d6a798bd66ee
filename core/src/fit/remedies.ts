import type { ChoiceChange, Remedy, RemedyDoes, RemedyPlace, Taking } from '../build/remedy.ts';
import type { SurveyItemId } from '../donor/donor.ts';
import { surveyItem } from '../donor/survey.ts';
import type { SmallPartId, ToolId } from '../parts/shelf/ids.ts';
import { phrase, type Phrase } from '../quantity/format.ts';

/** What a remedy takes besides its words. */
interface Needs {
  takes?: Taking | Taking[];
  /** Minutes. */
  work?: number;
  tools?: ToolId[];
  sets?: ChoiceChange;
}

function made(does: RemedyDoes, id: string, text: Phrase, needs: Needs): Remedy {
  const { takes = [], work = 0, tools = [], sets } = needs;
  return { id, does, text, takes: Array.isArray(takes) ? takes : [takes], work, tools, ...(sets ? { sets } : {}) };
}

/** A part by its id on the shelf, where it goes and how many. */
export function take(part: SmallPartId, place: RemedyPlace, count = 1): Taking {
  return { part, count, place };
}

/** Buy something and fit it. */
export const buy = (id: string, text: Phrase, takes: Taking | Taking[], needs: Omit<Needs, 'takes'> = {}): Remedy =>
  made('buy', id, text, { ...needs, takes });

/** Work on what is there; a little material at most. */
export const work = (id: string, text: Phrase, minutes: number, needs: Omit<Needs, 'work'> = {}): Remedy =>
  made('work', id, text, { ...needs, work: minutes });

/** Set something: a limit, a school, a current. */
export const set = (id: string, text: Phrase, needs: Needs = {}): Remedy => made('set', id, text, needs);

/** Choose otherwise: another kit, pack, place or donor. */
export const choose = (id: string, text: Phrase, sets?: ChoiceChange): Remedy =>
  made('choose', id, text, sets ? { sets } : {});

/** Ask the maker or seller for a figure the part's data lacks. */
export const askFor = (what: string): Remedy =>
  made('ask', 'ask-seller', phrase`Ask the seller for ${what}, in writing, before ordering.`, {});

/** Ask somebody else. */
export const ask = (id: string, text: Phrase, minutes = 0): Remedy => made('ask', id, text, { work: minutes });

/** Look or measure where no field of the survey takes the answer. */
export const look = (id: string, text: Phrase): Remedy => made('measure', id, text, {});

/** "Measure it" as a remedy that leads to the field. */
export function measureIt(id: SurveyItemId): Remedy {
  const item = surveyItem(id);
  return { ...made('measure', `measure-${id}`, phrase`Measure “${item.label}”: ${item.how}`, {}), item: id };
}
