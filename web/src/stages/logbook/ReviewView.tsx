import { Button, Textarea } from '@mantine/core';
import {
  againWords,
  odometerOf,
  REVIEW_AFTER_DAYS,
  reviewQuestions,
  reviewRatings,
  daysBetween,
  type Review,
} from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { dayText } from '../../ui/manner.ts';

/** Half a year on: would they do it again, and what was it worth. */
export function ReviewView({ now }: { now: string }) {
  const build = useBuild();
  const send = useSend();
  const { review } = build.log;
  const { since } = odometerOf(build.log, now);
  const days = since === null ? 0 : daysBetween(since, now);
  const is: Review = review ?? { at: now, by: '', again: null, answers: {}, ratings: {} };
  const set = (change: Partial<Review>, field: string): void => {
    send(buildActions.reviewSaid({ field: `log.review.${field}`, value: { ...is, at: now, ...change } }));
  };
  return (
    <section className="card review" aria-labelledby="review-title">
      <div className="card-head">
        <h2 id="review-title">Half a year on</h2>
        <span className="quiet">
          {since === null
            ? 'the log has not begun'
            : days < REVIEW_AFTER_DAYS
              ? `asked for in ${REVIEW_AFTER_DAYS - days} days; nothing forbids it now`
              : `${days} days on the road`}
          {review ? `, written ${dayText(review.at)}` : ''}
        </span>
      </div>
      <div role="group" aria-label="Would you do it again" className="row">
        <strong>Would you do it again?</strong>
        {(Object.keys(againWords) as (keyof typeof againWords)[]).map((a) => (
          <button
            key={a}
            type="button"
            className="leg"
            aria-pressed={is.again === a}
            onClick={() => set({ again: a }, 'again')}
          >
            {againWords[a]}
          </button>
        ))}
      </div>
      <table className="sum ratings">
        <caption>What it is worth, 1 poor to 5 good</caption>
        <tbody>
          {reviewRatings.map(({ id, words }) => (
            <tr key={id}>
              <th scope="row">{words}</th>
              <td>
                <span className="row" role="group" aria-label={words}>
                  {[1, 2, 3, 4, 5].map((n) => (
                    <button
                      key={n}
                      type="button"
                      className="leg"
                      aria-pressed={is.ratings[id] === n}
                      aria-label={`${words}: ${n} of 5`}
                      onClick={() => set({ ratings: { ...is.ratings, [id]: n } }, `ratings.${id}`)}
                    >
                      {n}
                    </button>
                  ))}
                </span>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {reviewQuestions.map(({ id, words }) => (
        <Textarea
          key={id}
          label={words}
          autosize
          minRows={1}
          maxLength={1000}
          value={is.answers[id] ?? ''}
          onChange={(e) => set({ answers: { ...is.answers, [id]: e.currentTarget.value } }, `answers.${id}`)}
        />
      ))}
      {review ? (
        <Button variant="default" onClick={() => send(buildActions.reviewSaid({ field: 'log.review', value: null }))}>
          Take the review back
        </Button>
      ) : null}
    </section>
  );
}
