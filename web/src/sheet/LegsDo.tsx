import { amount } from '@sprocket/core';
import { buildActions } from '../store/buildSlice.ts';
import { useApp, useBuild, useSend } from '../store/store.ts';
import { Say, Show, useTexts } from '../ui/Show.tsx';
import { useWorkerAnswer } from '../workers/core.ts';

/** What the legs do on this road under each way of helping, with this build's figures, and the choice among them. */
export function LegsDo() {
  const build = useBuild();
  const own = useApp((state) => state.shelf.own);
  const send = useSend();
  const { brief, choice, donor } = build;
  const answer = useWorkerAnswer((worker) => worker.legsDo(build, own), [brief, choice, donor, own], 300);
  const ways = useTexts(answer);
  return (
    <section className="card legs-do" aria-labelledby="legs-do">
      <h2 id="legs-do">What the legs do</h2>
      {ways === null ? (
        <p className="quiet" aria-live="polite">
          Riding the road under each way of helping…
        </p>
      ) : ways.length === 0 ? (
        <p className="quiet">
          Once kit and battery are chosen: what the legs give on this road under each way the kit can help.
        </p>
      ) : (
        <div className="table-scroll" tabIndex={0} role="region" aria-label="Ways of helping, scrolls sideways">
          <table>
            <thead>
              <tr>
                <th scope="col">The motor helps</th>
                <th scope="col">Legs give, once over the road</th>
                <th scope="col">Of all work</th>
                <th scope="col">Range</th>
                <th scope="col">
                  <span className="sr">Ridden so</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {ways.map((way) => (
                <tr key={way.id}>
                  <th scope="row">
                    {way.words}
                    <span className="from">
                      <Say words={way.how} />
                    </span>
                  </th>
                  <td className="num">
                    <Show value={amount(way.giveJ / 3600, 'energy')} /> of{' '}
                    <Show value={amount(way.couldJ / 3600, 'energy')} />
                  </td>
                  <td className="num">
                    <Show value={amount(way.share, 'share')} />
                  </td>
                  <td className="num">
                    <Show value={amount(way.rangeM, 'way', 0)} />
                  </td>
                  <td>
                    {way.now ? (
                      <span className="pill pill-now">ridden so</span>
                    ) : (
                      <button
                        type="button"
                        className="pill"
                        aria-label={`Ride it so: ${way.words}`}
                        onClick={() => {
                          const { wish } = way;
                          if (wish === null)
                            send(buildActions.chose({ field: 'choice.throttle', value: { usesThrottle: true } }));
                          else {
                            if (choice.usesThrottle)
                              send(buildActions.chose({ field: 'choice.throttle', value: { usesThrottle: false } }));
                            send(buildActions.briefEdited({ field: 'brief.assist', value: { assist: wish } }));
                          }
                        }}
                      >
                        ride it so
                      </button>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}
