import { Button, Checkbox, NativeSelect } from '@mantine/core';
import {
  amount,
  boxWords,
  extensionsFor,
  stowWords,
  usualLead,
  type LeadChoice,
  type RoutedLead,
  type StowPlace,
} from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { useBuild, useSend } from '../../store/store.ts';
import { usePlanContext } from '../../sheet/PlanProvider.tsx';
import { AmountField } from '../../ui/AmountField.tsx';
import { Show, useWords } from '../../ui/Show.tsx';

const sumWords: Record<keyof RoutedLead['sum'], string> = {
  way: 'along the tubes',
  lock: 'taken at full lock',
  fold: 'taken by the fold',
  travel: 'taken by the travel',
  loops: 'drip loops',
  plugs: 'plugs',
  slideOff: 'to unplug the pack first',
};

/** One lead: the sum of its length, and all that can be decided of it. */
export function LeadCard({ lead, onClose }: { lead: RoutedLead; onClose: () => void }) {
  const w = useWords();
  const build = useBuild();
  const send = useSend();
  const { shelf } = usePlanContext();
  const choice: LeadChoice = build.wiring.leads[lead.id] ?? usualLead;
  const set = (change: Partial<LeadChoice>): void => {
    send(
      buildActions.leadEdited({
        field: `wiring.${lead.id}.${Object.keys(change).join()}`,
        value: { lead: lead.id, change },
      }),
    );
  };
  const extensions = extensionsFor(lead, shelf.extension);
  const middle = lead.points[Math.floor(lead.points.length / 2)];
  return (
    <section className={`card lead-card edge-${lead.verdict}`} aria-labelledby="lead-card">
      <div className="section-head">
        <h2 id="lead-card">{lead.what}</h2>
        <span className="quiet">
          {boxWords[lead.from]} to {boxWords[lead.to]}
          {lead.plug ? ` · ${lead.plug.colour} ${lead.plug.family}, ${lead.plug.poles} poles` : ''}
        </span>
        <Button size="compact-sm" variant="default" onClick={onClose}>
          Close
        </Button>
      </div>
      <div className="lead-card-body">
        <table className="sum">
          <tbody>
            {(Object.keys(sumWords) as (keyof RoutedLead['sum'])[])
              .filter((key) => lead.sum[key] > 0)
              .map((key) => (
                <tr key={key}>
                  <th scope="row">{sumWords[key]}</th>
                  <td className="num">
                    <Show value={amount(lead.sum[key], 'size', 0)} />
                  </td>
                </tr>
              ))}
            <tr className="total">
              <th scope="row">
                needs, good to <Show value={amount(lead.bandM, 'size', 0)} />
              </th>
              <td className="num">
                <Show value={amount(lead.neededM, 'size', 0)} />
              </td>
            </tr>
            <tr>
              <th scope="row">has</th>
              <td className="num">
                {lead.suppliedM === null ? 'not known' : <Show value={amount(lead.suppliedM, 'size', 0)} />}
              </td>
            </tr>
          </tbody>
        </table>
        <div className="fields">
          <NativeSelect
            label="Extension"
            description={
              lead.plug
                ? extensions.length === 0
                  ? 'none is sold for this plug'
                  : `same plugs: ${lead.plug.family}, ${lead.plug.poles} poles`
                : 'its plug is not known'
            }
            inputWrapperOrder={['label', 'input', 'description']}
            value={choice.extension ?? ''}
            data={[
              { value: '', label: 'none' },
              ...extensions.map((e) => ({
                value: e.id,
                label: w(`${Math.round(e.lengthM * 1000)} mm, ${e.price}`),
              })),
            ]}
            onChange={(event) => set({ extension: event.currentTarget.value || null })}
          />
          {lead.splices ? (
            <AmountField
              label="Spliced longer by"
              dimension="size"
              digits={0}
              value={choice.spliceM}
              min={0}
              max={5}
              onValue={(si) => set({ spliceM: si })}
              onEmpty={() => set({ spliceM: null })}
            />
          ) : null}
          <AmountField
            label="Its way by a string"
            dimension="size"
            digits={0}
            value={choice.stringM}
            min={0.02}
            max={10}
            placeholder={w(`${Math.round(lead.sum.way * 1000)} mm as drawn`)}
            onValue={(si) => set({ stringM: si })}
            onEmpty={() => set({ stringM: null })}
          />
          {lead.stow ? (
            <NativeSelect
              label="Surplus goes"
              value={lead.stow.place}
              data={lead.stow.options.map((value) => ({ value, label: stowWords[value] }))}
              onChange={(event) => set({ stow: event.currentTarget.value as StowPlace })}
            />
          ) : null}
        </div>
      </div>
      <div className="lead-card-foot">
        <Button
          size="compact-sm"
          variant="default"
          disabled={choice.way.length >= 8 || !middle}
          onClick={() => {
            if (middle) set({ way: [...choice.way, { xM: middle.x, yM: middle.y }] });
          }}
        >
          Add a corner to drag
        </Button>
        {choice.way.length > 0 ? (
          <Button size="compact-sm" variant="default" onClick={() => set({ way: [] })}>
            Its own way again
          </Button>
        ) : null}
        <Checkbox
          label="Inside the frame"
          checked={choice.inside ?? build.schools.leads === 'inside'}
          onChange={(event) => set({ inside: event.currentTarget.checked })}
        />
        <Checkbox
          label="Left off, its socket sealed"
          checked={choice.leftOff}
          onChange={(event) => set({ leftOff: event.currentTarget.checked })}
        />
      </div>
      {lead.joint.is === 'adapter' ? (
        <p className="quiet">
          Its plug does not go into {lead.socket ? `the ${lead.socket.family}` : 'its socket'}: pin by pin on the loom
          sheet.
        </p>
      ) : null}
      {lead.cores.length > 0 ? (
        <p className="cores">
          {lead.cores.map((c, i) => (
            <span key={i} className="core">
              {i + 1} {c.what} <span className="quiet">{c.colour}</span>
            </span>
          ))}
        </p>
      ) : null}
    </section>
  );
}
