import { useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { del, get, post, put } from '../api/client';
import type { LineBody, LineRow } from '../api/types';
import { Consequences } from './parts/Consequences';
import { Field } from './parts/Field';
import { Members } from './Members';
import { FormFoot } from './parts/Section';
import { keepUnlessChanged, takeOver } from './parts/meanwhile';
import { Back, useChange, useLineRegister, useNeeded, useOffice } from './office';

const NEW: LineBody = {
  name: '',
  extension: '',
  number: '',
  members: [],
  ringSeconds: 30,
  mailbox: true,
};

/** A line as it is, or one that is to be. */
export function LineForm({ row, onClose }: { row?: LineRow; onClose: () => void }) {
  const { t } = useTranslation();
  const line = row?.line ?? NEW;
  const [members, setMembers] = useState(line.members);
  const [basis, setBasis] = useState(row);
  const { change, error, busy } = useChange(onClose);
  const free = useOffice()?.free;
  const [removing, setRemoving] = useState(false);

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
    void change(() => (basis ? keep(basis, body, form) : add(body)));
  }

  async function add(body: LineBody) {
    const { id } = await post<{ id: number }>('/api/office/lines', body);
    return new Back('registerAdded', body.name, () => del(`/api/office/lines/${id}`));
  }

  const now = async (id: number) =>
    (await get<LineRow[]>('/api/office/lines')).find((each) => each.id === id);

  async function keep(before: LineRow, body: LineBody, form: HTMLFormElement) {
    const path = `/api/office/lines/${before.id}`;
    await keepUnlessChanged(
      () => put(`${path}?version=${before.version}`, body),
      async () => {
        const by = await now(before.id);
        if (by) {
          takeOver(form, before.line, by.line);
          if (String(members) === String(before.line.members)) {
            setMembers(by.line.members);
          }
          setBasis(by);
        }
      },
    );
    const after = await now(before.id);
    return (
      after &&
      new Back('registerKept', body.name, () =>
        put(`${path}?version=${after.version}`, before.line),
      )
    );
  }

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
        <Field
          label={t('office.number')}
          name="number"
          value={line.number}
          longest={40}
          offered={free}
        />
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
      <Members
        legend={t('office.members')}
        add={t('office.addMember')}
        ordered
        members={members}
        onChange={setMembers}
      />
      {removing && row && <Removing row={row} onRemove={(action) => void change(action)} />}
      <FormFoot
        error={error}
        busy={busy}
        keep={t(row ? 'office.keep' : 'office.add')}
        cancel={t('office.cancel')}
        onCancel={onClose}
      >
        {row && !removing && (
          <button type="button" className="btn btn-plain" onClick={() => setRemoving(true)}>
            {t('office.removeLine')}
          </button>
        )}
      </FormFoot>
    </form>
  );
}

interface RemovingProps {
  row: LineRow;
  onRemove: (action: () => Promise<unknown>) => void;
}

/** For whom it would be different if the line were not there, and which one takes its place for them. */
function Removing({ row, onRemove }: RemovingProps) {
  const { t } = useTranslation();
  const needed = useNeeded(row.id);
  const others = useLineRegister()?.filter((each) => each.id !== row.id);
  const [instead, setInstead] = useState('');
  const { name } = row.line;
  const more = [
    needed?.messages && t('office.messagesThere', { count: needed.messages }),
    needed?.toReturn && t('office.toReturnThere', { count: needed.toReturn }),
  ].filter((each) => typeof each === 'string');
  const nobody = needed && needed.dependants.length + more.length === 0;
  return (
    <Consequences
      label={t('office.removeLine')}
      means={t('office.removeMeans', { name })}
      dependants={needed?.dependants}
      more={more}
      none={t('office.nobodyNeeds')}
    >
      <label className="flex flex-col text-sm">
        {t('office.instead')}
        <select
          className="select select-sm bg-base-100 mt-0.5 w-60"
          value={instead}
          onChange={(event) => setInstead(event.target.value)}
        >
          <option value="" disabled={!nobody}>
            {t(nobody ? 'office.insteadNothing' : 'office.insteadChoose')}
          </option>
          {others?.map((each) => (
            <option key={each.id} value={each.id}>
              {each.line.name} {each.line.extension}
            </option>
          ))}
        </select>
      </label>
      <button
        type="button"
        className="btn btn-error btn-sm"
        onClick={() =>
          onRemove(async () => {
            const path = `/api/office/lines/${row.id}`;
            await del(instead ? `${path}?instead=${instead}` : path);
            // What has gone over to another line stays there.
            return instead
              ? undefined
              : new Back('registerRemoved', name, () => post(`${path}/return`));
          })
        }
      >
        {t('office.removeNow', { name })}
      </button>
    </Consequences>
  );
}
