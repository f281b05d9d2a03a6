import { useRef, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { del, post } from '../api/client';
import { useShelf } from '../park/store';
import { Section } from './parts/Section';
import { Back, useChange } from './office';

const add = (number: string, label: string, before?: string) =>
  post('/api/office/slots', { number, label, before });

const remove = (number: string) => del(`/api/office/slots/${number}`);

/** Where calls can wait; what each is called is said in a sheet of its own. */
export function Slots() {
  const { t } = useTranslation();
  const slots = useShelf((store) => store.slots);
  const form = useRef<HTMLFormElement>(null);
  const { change, error, busy } = useChange(() => form.current?.reset());

  function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    const number = String(typed.get('number'));
    void change(async () => {
      await add(number, String(typed.get('label')));
      return new Back('registerAdded', number, () => remove(number));
    });
  }

  return (
    <Section id="slots" title={t('office.slots')} about={t('office.slotsAbout')}>
      <ul className="flex flex-wrap gap-1.5">
        {slots.map(({ slot, label }, at) => (
          <li
            key={slot}
            className="border-base-300 flex items-center gap-2 rounded border py-0.5 pl-2"
          >
            <span className="font-semibold">{slot}</span>
            {label}
            <button
              type="button"
              className="btn btn-xs btn-plain"
              aria-label={t('office.removeSlot', { slot })}
              onClick={() =>
                void change(async () => {
                  await remove(slot);
                  return new Back('registerRemoved', slot, () =>
                    add(slot, label, slots[at + 1]?.slot),
                  );
                })
              }
            >
              {t('office.remove')}
            </button>
          </li>
        ))}
      </ul>
      <form ref={form} onSubmit={submit} className="mt-2 flex flex-wrap items-end gap-2">
        <label className="flex flex-col text-sm">
          {t('office.extension')}
          <input
            name="number"
            required
            pattern="[0-9]{2,6}"
            maxLength={6}
            autoComplete="off"
            className="input input-sm bg-base-100 mt-0.5 w-24"
          />
        </label>
        <label className="flex flex-col text-sm">
          {t('office.label')}
          <input
            name="label"
            maxLength={40}
            autoComplete="off"
            className="input input-sm bg-base-100 mt-0.5 w-44"
          />
        </label>
        <button type="submit" className="btn btn-sm btn-plain" aria-disabled={busy}>
          {t('office.addSlot')}
        </button>
      </form>
      <p role="alert" className="text-error min-h-6 font-semibold">
        {error}
      </p>
    </Section>
  );
}
