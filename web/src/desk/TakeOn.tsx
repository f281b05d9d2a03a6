import { useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { del, put } from '../api/client';
import type { ToCallBack } from '../api/types';
import { nameOf } from '../calls/order';
import { attempt } from '../notices/attempt';
import { ColleagueSelect } from '../people/ColleagueSelect';
import { useMe } from '../session/session';

const PATH = '/api/to-call-back';

const takeOn = (caller: string, person: number, note: string) =>
  attempt(put(PATH, { caller, person, note }));

/** Who says that they call somebody back. */
export function TakenOn({ missed }: { missed: ToCallBack }) {
  const { t } = useTranslation();
  const me = useMe();
  if (!missed.takenBy) {
    return null;
  }
  const who =
    missed.takenBy === me.id
      ? t('worklist.takenByMe')
      : t('worklist.takenBy', { name: missed.takenByName });
  return (
    <strong className="block text-sm">
      {who} <span className="font-normal">{missed.note}</span>
    </strong>
  );
}

/** Takes it upon oneself to call somebody back, or hands them on to a colleague with a word. */
export function TakeOn({ missed }: { missed: ToCallBack }) {
  const { t } = useTranslation();
  const me = useMe();
  const [handing, setHanding] = useState(false);
  const mine = missed.takenBy === me.id;
  const name = nameOf(missed.who, t('party.withheld'));

  async function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const person = Number(data.get('person'));
    if (person && (await takeOn(missed.caller, person, String(data.get('note') ?? '')))) {
      setHanding(false);
    }
  }

  return (
    <>
      <button
        type="button"
        className="btn btn-sm btn-plain"
        aria-label={mine ? undefined : t('worklist.onItName', { name })}
        onClick={() =>
          void (mine
            ? attempt(del(`${PATH}/${encodeURIComponent(missed.caller)}`))
            : takeOn(missed.caller, me.id, ''))
        }
      >
        {t(mine ? 'worklist.notOnIt' : 'worklist.onIt')}
      </button>
      <button
        type="button"
        className="btn btn-sm btn-plain"
        aria-label={t('worklist.handName', { name })}
        aria-expanded={handing}
        onClick={() => setHanding(!handing)}
      >
        {t('worklist.hand')}
      </button>
      {handing && (
        <form
          className="order-last flex w-full flex-wrap items-end gap-2"
          onSubmit={(event) => void submit(event)}
        >
          <ColleagueSelect label={t('worklist.handTo')} />
          <label className="min-w-40 flex-1">
            {t('worklist.handNote')}
            <input
              type="text"
              name="note"
              maxLength={200}
              className="input bg-base-100 mt-1 w-full"
            />
          </label>
          <button type="submit" className="btn btn-primary">
            {t('worklist.handKeep')}
          </button>
        </form>
      )}
    </>
  );
}
