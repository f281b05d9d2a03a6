import { useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';
import type { PartyView, RulesBody, RulesView } from '../api/types';
import { nameOf } from '../calls/order';
import { attempt } from '../notices/attempt';
import { usePeople } from '../people/store';

type Ring = RulesBody['rings'][number];

interface Props {
  rules: RulesView;
  onKeep: (rings: Ring[]) => Promise<unknown>;
}

/** Whom a call rings, one step after the other, and for how long. */
export function Rings({ rules, onKeep }: Props) {
  const { t } = useTranslation();
  const [editing, setEditing] = useState<number>();
  const { owner, rings, ringSeconds, mayChange } = rules;
  const body = rings.map((each) => ({
    who: each.who.map((one) => one.dial ?? ''),
    seconds: each.seconds,
  }));
  const name = (each: PartyView) => (each.dial === owner.dial ? t('rules.me') : nameOf(each, ''));
  const people = owner.kind !== 'GROUP';

  const alone = { who: [owner.dial ?? ''], seconds: ringSeconds };
  // Whoever adds the first step adds it to what rings anyway.
  const add = (ring: Ring) => onKeep([...(body.length > 0 ? body : [alone]), ring]);
  const change = (index: number, ring: Ring) =>
    onKeep(body.map((each, at) => (at === index ? ring : each)));
  const take = (index: number) => onKeep(body.filter((_, at) => at !== index));

  if (rings.length === 0) {
    return (
      <div>
        <p className="font-semibold">
          {t(people ? 'rules.ringsAlone' : 'rules.ringsLine', { seconds: ringSeconds })}
        </p>
        {mayChange && people && (
          <AddRing
            index={0}
            own={owner.dial ?? ''}
            open={editing === 0}
            setOpen={setEditing}
            onKeep={add}
          />
        )}
      </div>
    );
  }
  return (
    <>
      <ol>
        {rings.map((ring, index) => (
          <li key={index} className="py-0.5">
            {editing === index ? (
              <RingForm
                who={ring.who.map(name).join(', ')}
                seconds={ring.seconds}
                own={owner.dial ?? ''}
                onKeep={(next) => change(index, next)}
                onDone={() => setEditing(undefined)}
              />
            ) : (
              <div className="flex flex-wrap items-center gap-2">
                <span className="quiet w-12 text-sm">
                  {t(index === 0 ? 'rules.ringFirst' : 'rules.ringThen')}
                </span>
                <button
                  type="button"
                  disabled={!mayChange}
                  className="decoration-primary text-left font-semibold underline decoration-dotted underline-offset-4"
                  aria-label={t('rules.changeRing', { n: index + 1 })}
                  onClick={() => setEditing(index)}
                >
                  {t('rules.ring', { who: ring.who.map(name).join(', '), seconds: ring.seconds })}
                </button>
                {mayChange && (
                  <button
                    type="button"
                    className="btn btn-xs btn-plain ml-auto"
                    aria-label={t('rules.takeRing', { n: index + 1 })}
                    onClick={() => void attempt(take(index))}
                  >
                    {t('rules.take')}
                  </button>
                )}
              </div>
            )}
          </li>
        ))}
      </ol>
      {mayChange && (
        <AddRing
          index={rings.length}
          own={owner.dial ?? ''}
          open={editing === rings.length}
          setOpen={setEditing}
          onKeep={add}
        />
      )}
    </>
  );
}

interface AddProps {
  index: number;
  own: string;
  open: boolean;
  setOpen: (index?: number) => void;
  onKeep: (ring: Ring) => Promise<unknown>;
}

function AddRing({ index, own, open, setOpen, onKeep }: AddProps) {
  const { t } = useTranslation();
  return open ? (
    <RingForm who="" seconds={15} own={own} onKeep={onKeep} onDone={() => setOpen()} />
  ) : (
    <button type="button" className="btn btn-xs btn-plain" onClick={() => setOpen(index)}>
      {t('rules.addRing')}
    </button>
  );
}

interface FormProps {
  who: string;
  seconds: number;
  own: string;
  onKeep: (ring: Ring) => Promise<unknown>;
  onDone: () => void;
}

/** Who is rung together: colleagues by name, lines and numbers as they are dialled. */
function RingForm({ who, seconds, own, onKeep, onDone }: FormProps) {
  const { t } = useTranslation();
  const people = usePeople((store) => store.people);
  const [error, setError] = useState('');

  async function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    const names = String(typed.get('who'))
      .split(',')
      .map((each) => each.trim())
      .filter(Boolean);
    const dials = names.map((each) =>
      each === t('rules.me')
        ? own
        : (people.find(({ name }) => name.toLowerCase() === each.toLowerCase())?.extension ?? each),
    );
    try {
      await onKeep({ who: dials.filter(Boolean), seconds: Number(typed.get('seconds')) });
      onDone();
    } catch (problem) {
      setError(sentence(problem));
    }
  }

  return (
    <form className="flex flex-wrap items-end gap-2" onSubmit={(event) => void submit(event)}>
      <label className="min-w-52 flex-1 text-sm">
        {t('rules.ringWho')}
        <input
          type="text"
          name="who"
          required
          // eslint-disable-next-line jsx-a11y/no-autofocus -- it is what was just asked for
          autoFocus
          maxLength={400}
          defaultValue={who}
          className="input input-sm bg-base-100 block w-full"
        />
      </label>
      <label className="text-sm">
        {t('rules.ringSeconds')}
        <input
          type="number"
          name="seconds"
          min={5}
          max={120}
          defaultValue={seconds}
          className="input input-sm bg-base-100 block w-24"
        />
      </label>
      <button type="submit" className="btn btn-sm btn-primary">
        {t('rules.keepRing')}
      </button>
      <button type="button" className="btn btn-sm btn-plain" onClick={onDone}>
        {t('rules.cancel')}
      </button>
      <p role="alert" className="text-error basis-full font-semibold">
        {error}
      </p>
    </form>
  );
}
