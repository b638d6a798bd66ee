import { NativeSelect } from '@mantine/core';
import { MOST_PRICE, amount, likings, riderFits, type Worth, type WorthIt } from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { AmountField } from '../../ui/AmountField.tsx';
import { Say, Show } from '../../ui/Show.tsx';

const likingWords: Record<Worth['liking'], string> = {
  untried: 'nobody has said',
  loved: 'they love it',
  liked: 'they like it',
  indifferent: 'they do not mind it',
  disliked: 'they do not like it',
};
const fitWords: Record<Worth['riderFit'], string> = {
  untried: 'not tried',
  good: 'fits as it is',
  adjustable: 'fits once adjusted',
  poor: 'does not fit',
};

/** Worth it: what no tape tells, and how it weighs against what was found. */
export function WorthSheet({ worth }: { worth: WorthIt }) {
  const { worth: said } = useBuild().donor;
  const send = useSend();
  const edit = (field: string, value: Partial<Worth>): void => {
    send(buildActions.worthEdited({ field: `worth.${field}`, value }));
  };
  const price = (label: string, key: 'donorPrice' | 'readyMadePrice' | 'otherDonorPrice') => (
    <AmountField
      label={label}
      dimension="money"
      value={said[key]}
      min={0}
      max={MOST_PRICE}
      placeholder="not looked up"
      onValue={(si) => edit(key, { [key]: si })}
      onEmpty={() => edit(key, { [key]: null })}
    />
  );
  const { cost } = worth;
  return (
    <section className="card" aria-labelledby="worth-title">
      <h2 id="worth-title">{worth.words}</h2>
      <div className="fields fields-three">
        <NativeSelect
          label="Do they like riding it?"
          value={said.liking}
          data={[...likings].map((value) => ({ value, label: likingWords[value] }))}
          onChange={(event) => edit('liking', { liking: event.currentTarget.value as Worth['liking'] })}
        />
        <NativeSelect
          label="Does it fit its rider?"
          value={said.riderFit}
          data={[...riderFits].map((value) => ({ value, label: fitWords[value] }))}
          onChange={(event) => edit('riderFit', { riderFit: event.currentTarget.value as Worth['riderFit'] })}
        />
        {price('To come by this donor', 'donorPrice')}
        {price('Ready-made of this kind', 'readyMadePrice')}
        {price('A better donor', 'otherDonorPrice')}
      </div>
      <table className="sum weighed">
        <caption>What was weighed, from four against to four for</caption>
        <tbody>
          {worth.weighed.map((w) => (
            <tr key={w.label}>
              <th scope="row">
                {w.label}
                {w.label === worth.most ? <span className="from">weighs most</span> : null}
              </th>
              <td>
                <Say words={w.says} />
              </td>
              <td className="num">
                <Beam weight={w.weight} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="quiet">
        Parts <Show value={amount(cost.parts, 'money')} /> + mending <Show value={amount(cost.mending, 'money')} /> +
        rework <Show value={amount(cost.remedies, 'money')} />
        {cost.bench > 0 ? (
          <>
            {' '}
            + tools <Show value={amount(cost.bench, 'money')} />
          </>
        ) : null}{' '}
        + donor <Show value={amount(cost.donor, 'money')} /> ={' '}
        <strong>
          <Show value={amount(cost.total, 'money')} />
        </strong>
        , and <Show value={amount(cost.minutes * 60, 'time')} /> of work before the kit goes on.
      </p>
    </section>
  );
}

/** A weight on a balance beam: left against, right for; open where nothing is known. */
function Beam({ weight }: { weight: number | null }) {
  const words = weight === null ? 'not known' : weight > 0 ? `+${weight}` : weight < 0 ? `−${-weight}` : '0';
  return (
    <span className="beam">
      <svg viewBox="-46 -8 92 16" width="92" height="16" aria-hidden="true" focusable="false">
        <path d="M-42 0H42M0-5V5" className="beam-line" />
        {weight === null ? null : (
          <rect
            x={Math.min(0, weight * 10)}
            y="-4"
            width={Math.max(1.5, Math.abs(weight) * 10)}
            height="8"
            className={weight < 0 ? 'beam-against' : 'beam-for'}
          />
        )}
      </svg>
      <span>{words}</span>
    </span>
  );
}
