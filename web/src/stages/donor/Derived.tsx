import { amount, surveyItem, type DerivedSize, type SurveyItemId } from '@sprocket/core';
import { Show, Words } from '../../ui/Show.tsx';

/** Sizes that follow from the survey, each with the error its measurements carry into it. */
export function Derived({ sizes, onItem }: { sizes: readonly DerivedSize[]; onItem: (id: SurveyItemId) => void }) {
  return (
    <section className="card" aria-labelledby="derived-title">
      <h2 id="derived-title">What follows from the sizes</h2>
      <table className="sum derived">
        <thead>
          <tr>
            <th scope="col">Size</th>
            <th scope="col">Comes to</th>
            <th scope="col">give or take</th>
            <th scope="col">Rests on guesses of</th>
          </tr>
        </thead>
        <tbody>
          {sizes.map((size) => (
            <tr key={size.label}>
              <th scope="row">{size.label}</th>
              <td className="num">
                <Show value={amount(size.value, size.dimension, size.dimension === 'size' ? 0 : 1)} />
              </td>
              <td className="num">
                <Show value={amount(size.error, size.dimension, size.dimension === 'size' ? 0 : 1)} />
              </td>
              <td>
                {size.guessed.length === 0
                  ? 'none'
                  : size.guessed.map((id) => (
                      <button key={id} type="button" className="link-button" onClick={() => onItem(id)}>
                        {surveyItem(id).label.toLowerCase()}
                      </button>
                    ))}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="quiet">
        <Words>Tape good to 3 mm, caliper to 0.2 mm, angle finder to half a degree; what is guessed, to 4 %.</Words>
      </p>
    </section>
  );
}
