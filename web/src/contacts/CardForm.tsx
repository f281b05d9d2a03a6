import { useCallback, useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';
import type { CardBody } from '../api/types';
import { useOnce } from '../live/useOnce';
import { TONES } from '../sound/settings';
import { NumberRows } from './NumberRows';

interface Props {
  card: CardBody;
  /** Whether nobody has it yet, and one can still say that nobody else shall. */
  fresh?: boolean;
  onKeep: (own: boolean, card: CardBody) => Promise<unknown>;
  onCancel: () => void;
}

const parts = (text: string, between: RegExp) =>
  text
    .split(between)
    .map((each) => each.trim())
    .filter(Boolean);

/** A card that is being written. What is wrong is said above it, and nothing typed is lost. */
export function CardForm({ card, fresh = false, onKeep, onCancel }: Props) {
  const { t } = useTranslation();
  const [own, setOwn] = useState(false);
  const [name, setName] = useState(card.name);
  const [company, setCompany] = useState(card.company);
  const [numbers, setNumbers] = useState(card.numbers);
  const [mails, setMails] = useState(card.mails.join('\n'));
  const [addresses, setAddresses] = useState(card.addresses.join('\n'));
  const [tags, setTags] = useState(card.tags.join(', '));
  const [note, setNote] = useState(card.note);
  const [tone, setTone] = useState(card.tone);
  const [error, setError] = useState('');

  const { run, busy } = useOnce(
    useCallback(async () => {
      setError('');
      try {
        await onKeep(own, {
          name,
          company,
          numbers,
          mails: parts(mails, /[\n,;]/),
          addresses: parts(addresses, /\n/),
          tags: parts(tags, /,/),
          note,
          tone,
        });
      } catch (problem) {
        setError(sentence(problem));
      }
    }, [own, name, company, numbers, mails, addresses, tags, note, tone, onKeep]),
  );

  function submit(event: FormEvent) {
    event.preventDefault();
    void run();
  }

  return (
    <form onSubmit={submit} noValidate>
      <p role="alert" className="text-error font-semibold empty:hidden mb-3">
        {error}
      </p>
      <div className="grid gap-x-6 sm:grid-cols-[3fr_2fr]">
        <div>
          <Line label={t('contacts.name')} value={name} onChange={setName} />
          <Line label={t('contacts.company')} value={company} onChange={setCompany} />
          <NumberRows numbers={numbers} onChange={setNumbers} />
          <Line label={t('contacts.tags')} value={tags} onChange={setTags} />
        </div>
        <div>
          <Lines label={t('contacts.mails')} value={mails} onChange={setMails} />
          <Lines label={t('contacts.addresses')} value={addresses} onChange={setAddresses} />
          <Lines label={t('contacts.note')} value={note} onChange={setNote} longest={4_000} />
          <label className="mb-3 block font-semibold">
            {t('contacts.tone')}
            <select
              className="select mt-1 w-full font-normal"
              value={tone}
              onChange={(event) => setTone(event.target.value)}
            >
              <option value="">{t('contacts.usualTone')}</option>
              {TONES.map((each) => (
                <option key={each} value={each}>
                  {t(`sound.tone.${each}`)}
                </option>
              ))}
            </select>
          </label>
        </div>
      </div>
      {fresh && (
        <label className="mb-3 flex items-center gap-2">
          <input
            type="checkbox"
            checked={own}
            onChange={(event) => setOwn(event.target.checked)}
            className="checkbox checkbox-sm checkbox-primary"
          />
          {t('contacts.ownLabel')}
        </label>
      )}
      <div className="flex gap-2">
        <button type="submit" className="btn btn-primary" aria-disabled={busy}>
          {t('contacts.save')}
        </button>
        <button type="button" className="btn btn-plain" onClick={onCancel}>
          {t('contacts.cancel')}
        </button>
      </div>
    </form>
  );
}

interface FieldProps {
  label: string;
  value: string;
  onChange: (value: string) => void;
  longest?: number;
}

function Line({ label, value, onChange }: FieldProps) {
  return (
    <label className="mb-3 block font-semibold">
      {label}
      <input
        type="text"
        maxLength={200}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        className="input bg-base-100 mt-1 w-full font-normal"
      />
    </label>
  );
}

function Lines({ label, value, onChange, longest = 2_000 }: FieldProps) {
  return (
    <label className="mb-3 block font-semibold">
      {label}
      <textarea
        rows={2}
        maxLength={longest}
        value={value}
        onChange={(event) => onChange(event.target.value)}
        className="input bg-base-100 mt-1 h-auto w-full p-2 font-normal"
      />
    </label>
  );
}
