import { z } from '../reading/zod.ts';

/**
 * When a row of the catalogue holds: a name of a small vocabulary, or names joined by all, any and not. Never code:
 * what a name means is said once, in the core, by the vocabulary that reads it.
 */
export type Condition<Name extends string = string> =
  Name | { all: readonly Condition<Name>[] } | { any: readonly Condition<Name>[] } | { not: Condition<Name> };

/** Schema of conditions over a vocabulary. */
export function conditionSchema<const Name extends string>(names: readonly Name[]): z.ZodType<Condition<Name>> {
  const condition: z.ZodType<Condition<Name>> = z.lazy(() =>
    z.union([
      z.enum(names),
      z.strictObject({ all: z.array(condition).min(2) }),
      z.strictObject({ any: z.array(condition).min(2) }),
      z.strictObject({ not: condition }),
    ]),
  ) as z.ZodType<Condition<Name>>;
  return condition;
}

/** Whether a condition holds; one that is not given does. */
export function holds<Name extends string>(
  condition: Condition<Name> | undefined,
  is: (name: Name) => boolean,
): boolean {
  if (condition === undefined) return true;
  if (typeof condition === 'string') return is(condition);
  if ('all' in condition) return condition.all.every((c) => holds(c, is));
  if ('any' in condition) return condition.any.some((c) => holds(c, is));
  return !holds(condition.not, is);
}
