import { Button } from '@mantine/core';
import { decimals, amount, surveyItem } from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { usePlan } from '../../sheet/PlanProvider.tsx';
import { useBuild, useSend } from '../../store/store.ts';
import { AmountField } from '../../ui/AmountField.tsx';
import { Show } from '../../ui/Show.tsx';
import { Obstructions } from './Obstructions.tsx';
import { PhotoTrace } from './PhotoTrace.tsx';

/** The frame's inside to scale: how well the sizes agree, from a photo, by its points, and what stands into it. */
export function InsideSheet() {
  const plan = usePlan();
  const { triangle } = plan.drawing.geometry;
  return (
    <div className="inside-sheet">
      {triangle ? <Agreement /> : null}
      <PhotoTrace />
      {triangle ? null : <TubeLine />}
      <Obstructions />
    </div>
  );
}

/** How the measured sides agree, and how sure each corner is. */
function Agreement() {
  const plan = usePlan();
  const { inside } = useBuild().donor;
  const send = useSend();
  const { triangle } = plan.drawing.geometry;
  if (!triangle) return null;
  const { fit } = triangle;
  return (
    <section className="card" aria-labelledby="agree-title">
      <h2 id="agree-title">The inside as it comes out</h2>
      {inside ? (
        <>
          <p>
            Taken from{' '}
            {inside.source === 'photo' ? 'a photo' : inside.source === 'tape' ? 'points by tape' : 'a template'}:{' '}
            {inside.corners.length} corners, each good to <Show value={amount(inside.errorM, 'size', 1)} />. It stands
            in place of the sides.
          </p>
          <Button
            size="compact-sm"
            variant="default"
            onClick={() => send(buildActions.insideTaken({ field: 'inside.drop', value: null }))}
          >
            Go back to the measured sides
          </Button>
        </>
      ) : fit ? (
        <>
          <table className="sum derived">
            <thead>
              <tr>
                <th scope="col">Corner</th>
                <th scope="col">good to</th>
              </tr>
            </thead>
            <tbody>
              {(
                [
                  ['top of the seat tube’s side', fit.errorM.seat],
                  ['upper corner at the head', fit.errorM.headUp],
                  ['lower corner at the head', fit.errorM.headLow],
                ] as const
              ).map(([label, error]) => (
                <tr key={label}>
                  <th scope="row">{label}</th>
                  <td className="num">
                    ± <Show value={amount(error, 'size', 1)} />
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          {fit.misfits.length > 0 ? (
            <>
              <p>
                Measured more than once, fitted by least squares; the readings lie {decimals(fit.misfit, 1)} of their
                errors from the fit{fit.misfit > 1.6 ? ': one of them is likely wrong.' : '.'}
              </p>
              <table className="sum derived">
                <thead>
                  <tr>
                    <th scope="col">Reading</th>
                    <th scope="col">read</th>
                    <th scope="col">fitted</th>
                  </tr>
                </thead>
                <tbody>
                  {fit.misfits.slice(0, 6).map((m) => {
                    const item = surveyItem(m.item);
                    const dimension = item.type === 'number' ? item.dimension : 'size';
                    return (
                      <tr key={m.item}>
                        <th scope="row">{item.label}</th>
                        <td className="num">
                          <Show value={amount(m.measured, dimension, 1)} />
                        </td>
                        <td className="num">
                          <Show value={amount(m.fitted, dimension, 1)} />
                        </td>
                      </tr>
                    );
                  })}
                </tbody>
              </table>
            </>
          ) : (
            <p className="quiet">
              Each side was measured once; a diagonal or an angle more would show a slip of the tape. Choose how you
              take the inside under Frame lengths.
            </p>
          )}
        </>
      ) : null}
    </section>
  );
}

/** A low or bent main tube by points along its middle line. */
function TubeLine() {
  const { mainTubePath } = useBuild().donor;
  const send = useSend();
  const points = mainTubePath?.points ?? [];
  const draw = (field: string, next: { xM: number; yM: number }[]): void => {
    send(buildActions.mainTubeDrawn({ field: `tube.${field}`, value: next.length < 2 ? null : { points: next } }));
  };
  return (
    <section className="card" aria-labelledby="line-title">
      <h2 id="line-title">Line of the main tube</h2>
      <p className="quiet">
        Points along the tube’s middle, from the crank centre: forward and up. Three or four follow any bend; a bow
        alone is quicker told under Frame lengths.
      </p>
      {points.map((p, i) => (
        <div key={i} className="fields-tight">
          <AmountField
            label={`Point ${i + 1}, forward`}
            dimension="size"
            value={p.xM}
            min={-0.5}
            max={2}
            onValue={(xM) =>
              draw(
                `${i}.x`,
                points.map((q, j) => (i === j ? { ...q, xM } : q)),
              )
            }
          />
          <AmountField
            label={`Point ${i + 1}, up`}
            dimension="size"
            value={p.yM}
            min={-0.5}
            max={1.5}
            onValue={(yM) =>
              draw(
                `${i}.y`,
                points.map((q, j) => (i === j ? { ...q, yM } : q)),
              )
            }
          />
          <Button
            size="compact-xs"
            variant="subtle"
            aria-label={`Take out point ${i + 1}`}
            onClick={() =>
              draw(
                `drop.${points.length}`,
                points.filter((_, j) => j !== i),
              )
            }
          >
            take out
          </Button>
        </div>
      ))}
      <Button
        size="compact-sm"
        variant="default"
        onClick={() => {
          const last = points.at(-1);
          draw(
            `add.${points.length}`,
            last
              ? [...points, { xM: last.xM + 0.12, yM: last.yM + 0.05 }]
              : [
                  { xM: 0, yM: 0 },
                  { xM: 0.2, yM: 0.06 },
                ],
          );
        }}
      >
        Add a point
      </Button>
    </section>
  );
}
