import { useQuery } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { get, put } from '../api/client';
import type { HandlingBody, HandlingView } from '../api/types';
import { Members } from './Members';
import { Field } from './parts/Field';
import { linesOf } from '../ui/lines';
import { FormFoot, Section } from './parts/Section';
import { keepUnlessChanged, takeOver } from './parts/meanwhile';
import { Back, useChange } from './office';

const PATH = '/api/office/handling';
const PICK_UPS = ['ANYBODY', 'OWN_GROUPS'] as const;
const UNANSWERED = ['BACK', 'MAILBOX'] as const;

/** Numbers of the form, with the least and most there can be. */
const NUMBERS = {
  ringsOutside: [20, 600],
  holdReminder: [15, 3_600],
  comeBack: [15, 3_600],
  callBack: [60, 86_400],
  longestMessage: [10, 600],
  callsInHand: [2, 12],
  conferenceParties: [3, 16],
} as const satisfies Partial<Record<keyof HandlingBody, [number, number]>>;

const NAMES = Object.keys(NUMBERS) as (keyof typeof NUMBERS)[];

/** How the office wants calls handled. */
export function Handling() {
  const view = useQuery({
    queryKey: ['office', 'handling'],
    queryFn: () => get<HandlingView>(PATH),
  }).data;
  return view ? <HandlingForm view={view} /> : null;
}

/** As it stands in the fields of the form. */
const written = ({ handling }: HandlingView) => ({
  ...handling,
  barred: handling.barred.join('\n'),
});

function HandlingForm({ view }: { view: HandlingView }) {
  const { t } = useTranslation();
  const [basis, setBasis] = useState(view);
  const [exempt, setExempt] = useState(view.handling.exempt);
  const [kept, setKept] = useState(false);
  const { change, error, busy } = useChange(() => setKept(true));
  const { handling } = basis;

  function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const form = event.currentTarget;
    const typed = new FormData(form);
    const text = (name: string) => String(typed.get(name) ?? '').trim();
    const numbers = Object.fromEntries(NAMES.map((name) => [name, Number(text(name))]));
    const body = {
      ...numbers,
      pickUp: text('pickUp'),
      unanswered: text('unanswered'),
      barred: linesOf(text('barred')),
      exempt,
    } as HandlingBody;
    const look = async () => {
      const now = await get<HandlingView>(PATH);
      takeOver(form, written(basis), written(now));
      if (String(exempt) === String(handling.exempt)) {
        setExempt(now.handling.exempt);
      }
      setBasis(now);
    };
    void change(async () => {
      await keepUnlessChanged(() => put(`${PATH}?version=${basis.version}`, body), look);
      const after = await get<HandlingView>(PATH);
      setBasis(after);
      return new Back('registerKept', t('office.handling.title'), async () => {
        await put(`${PATH}?version=${after.version}`, basis.handling);
        takeOver(form, written(after), written(basis));
        setExempt(basis.handling.exempt);
        setBasis(await get<HandlingView>(PATH));
      });
    });
  }

  return (
    <Section id="handling" title={t('office.handling.title')} about={t('office.handling.about')}>
      <form onSubmit={submit} onInput={() => setKept(false)}>
        <div className="grid gap-x-4 gap-y-2 sm:grid-cols-3">
          <Choice name="pickUp" value={handling.pickUp} among={PICK_UPS} />
          <Choice name="unanswered" value={handling.unanswered} among={UNANSWERED} />
          {NAMES.map((name) => (
            <Field
              key={name}
              label={t(`office.handling.${name}`)}
              name={name}
              type="number"
              value={handling[name]}
              between={NUMBERS[name]}
              required
            />
          ))}
        </div>
        <label className="mt-3 flex flex-col">
          <span className="text-sm">{t('office.handling.barred')}</span>
          <textarea
            name="barred"
            rows={3}
            defaultValue={handling.barred.join('\n')}
            className="input bg-base-100 mt-1 h-auto w-full max-w-md p-2"
          />
        </label>
        <Members
          legend={t('office.handling.exempt')}
          add={t('office.handling.addExempt')}
          members={exempt}
          onChange={setExempt}
        />
        <FormFoot error={error} busy={busy} keep={t('office.keep')}>
          <span role="status">{kept && t('office.kept')}</span>
        </FormFoot>
      </form>
    </Section>
  );
}

interface ChoiceProps {
  name: 'pickUp' | 'unanswered';
  value: string;
  among: readonly string[];
}

function Choice({ name, value, among }: ChoiceProps) {
  const { t } = useTranslation();
  return (
    <label className="flex flex-col">
      <span className="text-sm">{t(`office.handling.${name}`)}</span>
      <select name={name} defaultValue={value} className="select bg-base-100 mt-0.5 w-full">
        {among.map((each) => (
          <option key={each} value={each}>
            {t(`office.handling.of.${each}`)}
          </option>
        ))}
      </select>
    </label>
  );
}
