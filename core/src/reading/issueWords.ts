/** What a checker's issue says, as far as it is needed to put it in plain words. */
interface Issue {
  code?: string | undefined;
  expected?: unknown;
  input?: unknown;
  minimum?: unknown;
  maximum?: unknown;
  inclusive?: unknown;
  origin?: unknown;
  values?: unknown;
  keys?: unknown;
}

const kindWords: Record<string, string> = {
  string: 'a text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'yes or no (true or false)',
  array: 'a list',
  object: 'a group of fields',
  record: 'a group of fields',
};

/** One of the checker's issues in plain words, by its code alone: what a schema says in words of its own stays as it is. */
export function issueWords(issue: Issue): string {
  const { origin } = issue;
  const size = origin === 'string' ? ' letters' : origin === 'array' || origin === 'set' ? ' entries' : '';
  switch (issue.code) {
    case 'invalid_type': {
      const wanted = kindWords[String(issue.expected)] ?? String(issue.expected);
      return issue.input === undefined ? `is missing; ${wanted} belongs here` : `must be ${wanted}`;
    }
    case 'too_small':
      return `must be at least ${String(issue.minimum)}${size}`;
    case 'too_big':
      return `must be at most ${String(issue.maximum)}${size}`;
    case 'invalid_value':
      return `must be ${listWords(issue.values)}`;
    case 'invalid_union':
      return 'is of no kind that is known here';
    case 'invalid_format':
      return 'is not written as it should be';
    case 'unrecognized_keys':
      return `has fields that are not known here: ${listWords(issue.keys)}`;
    default:
      return 'cannot be understood';
  }
}

/** Most values named where one of many is asked for. */
const NAMED = 8;

function listWords(values: unknown): string {
  const list = Array.isArray(values) ? values.map((v) => `“${String(v)}”`) : [];
  if (list.length <= 1) return list.join('');
  const shown = list.slice(0, NAMED);
  return list.length > NAMED
    ? `one of ${shown.join(', ')} and ${list.length - NAMED} more`
    : `${shown.slice(0, -1).join(', ')} or ${shown.at(-1) ?? ''}`;
}
