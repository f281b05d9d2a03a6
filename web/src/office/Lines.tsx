import { useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { get, post, put } from '../api/client';
import type { LineBody, LineRow } from '../api/types';
import { usePeople } from '../people/store';
import { Field } from './Field';
import { FormFoot, Section } from './Section';
import { keepUnlessChanged, takeOver } from './meanwhile';
import { useChange, useLineRegister } from './office';

const NEW: LineBody = {
  name: '',
  extension: '',
  number: '',
  members: [],
  ringSeconds: 30,
  mailbox: true,
};

/** The lines that several people answer; a row opens where it stands. */
export function Lines() {
  const { t } = useTranslation();
  const people = usePeople((store) => store.people);
  const lines = useLineRegister();
  const [open, setOpen] = useState<number | 'new'>();
  const close = () => setOpen(undefined);
  const names = (members: number[]) =>
    members
      .map((id) => people.find((each) => each.id === id)?.name)
      .filter(Boolean)
      .join(', ');
  return (
    <Section
      id="lines"
      title={t('office.lines')}
      about={t('office.linesAbout')}
      keys={
        <button type="button" className="btn btn-sm btn-plain" onClick={() => setOpen('new')}>
          {t('office.addLine')}
        </button>
      }
    >
      {open === 'new' && <LineForm onClose={close} />}
      <ul>
        {lines?.map((row) => (
          <li key={row.id} className="border-base-300 border-t">
            {open === row.id ? (
              <LineForm row={row} onClose={close} />
            ) : (
              <div className="flex flex-wrap items-center gap-x-4 gap-y-1 py-1">
                <span className="min-w-40 font-semibold">{row.line.name}</span>
                <span>{row.line.extension}</span>
                <span>{row.line.number}</span>
                <span className="quiet min-w-0 flex-1 basis-60">{names(row.line.members)}</span>
                <button
                  type="button"
                  className="btn btn-sm btn-plain"
                  aria-label={t('office.changeWho', { name: row.line.name })}
                  onClick={() => setOpen(row.id)}
                >
                  {t('office.change')}
                </button>
              </div>
            )}
          </li>
        ))}
      </ul>
    </Section>
  );
}

function LineForm({ row, onClose }: { row?: LineRow; onClose: () => void }) {
  const { t } = useTranslation();
  const line = row?.line ?? NEW;
  const [members, setMembers] = useState(line.members);
  const [basis, setBasis] = useState(row);
  const { change, error, busy } = useChange(onClose);

  function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const form = event.currentTarget;
    const typed = new FormData(form);
    const text = (name: string) => String(typed.get(name) ?? '').trim();
    const body: LineBody = {
      name: text('name'),
      extension: text('extension'),
      number: text('number'),
      members,
      ringSeconds: Number(text('ringSeconds')),
      mailbox: typed.has('mailbox'),
    };
    void change(() => (basis ? keep(basis, body, form) : post('/api/office/lines', body)));
  }

  const keep = (before: LineRow, body: LineBody, form: HTMLFormElement) =>
    keepUnlessChanged(
      () => put(`/api/office/lines/${before.id}?version=${before.version}`, body),
      async () => {
        const now = (await get<LineRow[]>('/api/office/lines')).find(({ id }) => id === before.id);
        if (now) {
          takeOver(form, before.line, now.line);
          if (String(members) === String(before.line.members)) {
            setMembers(now.line.members);
          }
          setBasis(now);
        }
      },
    );

  return (
    <form
      onSubmit={submit}
      aria-label={row ? line.name : t('office.addLine')}
      className="border-primary bg-base-200 my-2 rounded border-l-4 p-3"
    >
      <div className="grid gap-x-4 gap-y-2 sm:grid-cols-4">
        <Field label={t('office.name')} name="name" value={line.name} required />
        <Field
          label={t('office.extension')}
          name="extension"
          value={line.extension}
          longest={6}
          required
        />
        <Field label={t('office.number')} name="number" value={line.number} longest={40} />
        <Field
          label={t('office.ringSeconds')}
          name="ringSeconds"
          type="number"
          value={line.ringSeconds}
          required
        />
      </div>
      <label className="mt-2 flex items-center gap-2">
        <input
          type="checkbox"
          name="mailbox"
          className="checkbox checkbox-sm"
          defaultChecked={line.mailbox}
        />
        {t('office.mailbox')}
      </label>
      <Members members={members} onChange={setMembers} />
      <FormFoot
        error={error}
        busy={busy}
        keep={t(row ? 'office.keep' : 'office.add')}
        cancel={t('office.cancel')}
        onCancel={onClose}
      />
    </form>
  );
}

interface MembersProps {
  members: number[];
  onChange: (members: number[]) => void;
}

/** Who answers a line, in the order in which they stand there. */
function Members({ members, onChange }: MembersProps) {
  const { t } = useTranslation();
  const people = usePeople((store) => store.people);
  const nameOf = (id: number) => people.find((each) => each.id === id)?.name ?? '';
  function up(at: number) {
    const all = [...members];
    const [moved] = all.splice(at, 1);
    all.splice(at - 1, 0, moved as number);
    onChange(all);
  }
  return (
    <fieldset className="mt-2">
      <legend className="text-sm">{t('office.members')}</legend>
      <ol className="flex flex-wrap gap-1.5">
        {members.map((id, at) => (
          <li
            key={id}
            className="bg-base-100 border-base-300 flex items-center gap-1 rounded border py-0.5 pl-2"
          >
            {nameOf(id)}
            {at > 0 && (
              <button
                type="button"
                className="btn btn-xs btn-plain"
                aria-label={t('office.earlier', { name: nameOf(id) })}
                onClick={() => up(at)}
              >
                ←
              </button>
            )}
            <button
              type="button"
              className="btn btn-xs btn-plain"
              aria-label={t('office.takeOut', { name: nameOf(id) })}
              onClick={() => onChange(members.filter((each) => each !== id))}
            >
              {t('office.out')}
            </button>
          </li>
        ))}
      </ol>
      <select
        aria-label={t('office.addMember')}
        className="select select-sm bg-base-100 mt-1 w-60"
        value=""
        onChange={(event) => onChange([...members, Number(event.target.value)])}
      >
        <option value="">{t('office.addMember')}</option>
        {people
          .filter((each) => !members.includes(each.id))
          .map((each) => (
            <option key={each.id} value={each.id}>
              {each.name} {each.extension}
            </option>
          ))}
      </select>
    </fieldset>
  );
}
