import { NativeSelect } from '@mantine/core';
import { amount, amountText, CLIMB_AT_LEAST, helpWords, type Help, type HelpHabit } from '@sprocket/core';
import { buildActions } from '../../store/buildSlice.ts';
import { useSend, useUnits } from '../../store/store.ts';

/** How the motor helps: at one of the kit's steps, at the least that holds cruise, or only with what the legs leave. */
export function HelpSelect({ throttled, help }: { throttled: boolean; help: Help }) {
  const send = useSend();
  const units = useUnits();
  const steps = help.can.laws.flatMap((law) =>
    ((law === 'level' ? help.can.levelsW : help.can.gains) ?? []).map((value, i, all) => ({
      value: `${law} ${i + 1}`,
      label:
        law === 'level'
          ? `Step ${i + 1} of ${all.length}: ${amountText(amount(value, 'power'), units)} at the tyre`
          : `Step ${i + 1} of ${all.length}: ${value} times the legs`,
    })),
  );
  return (
    <NativeSelect
      className="help-select"
      label="How the motor helps"
      inputWrapperOrder={['label', 'input', 'description']}
      disabled={throttled}
      description={
        throttled
          ? 'As the throttle asks'
          : `Cruise asks ${amountText(amount(help.cruiseW, 'power'), units)} on the flat${
              help.hillW > help.cruiseW
                ? `, the steepest stretch ${amountText(amount(help.hillW, 'power'), units)} at ${amountText(amount(CLIMB_AT_LEAST, 'speed', 0), units)}`
                : ''
            }`
      }
      value={throttled || help.byItself ? '' : help.step === null ? 'frugal' : `${help.law.law} ${help.step}`}
      data={[
        {
          value: '',
          label: help.byItself ? `By itself: ${helpWords(help)}` : 'By itself: the least step for this road',
        },
        ...steps,
        { value: 'frugal', label: 'Legs first, the motor for what is missing' },
      ]}
      onChange={(event) => {
        const [law, step] = event.currentTarget.value.split(' ');
        send(
          buildActions.briefEdited({
            field: 'brief.assist',
            value: {
              assist:
                law === '' || law === undefined
                  ? null
                  : { law: law as HelpHabit, step: step === undefined ? null : Number(step) },
            },
          }),
        );
      }}
    />
  );
}
