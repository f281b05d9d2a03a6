import { useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { del, get, post, put } from '../api/client';
import type { PeopleRegister, PersonBody } from '../api/types';
import { openPhone } from '../devices/openPhone';
import { useMe } from '../session/session';
import { ActingFor } from './parts/ActingFor';
import { Consequences } from './parts/Consequences';
import { Field } from './parts/Field';
import { GettingIn } from './GettingIn';
import { keepUnlessChanged, takeOver } from './parts/meanwhile';
import { FormFoot } from './parts/Section';
import { Back, useChange, useDependants, useOffice } from './office';

type PersonRow = PeopleRegister['people'][number];

const NEW: PersonBody = {
  name: '',
  signInName: '',
  role: 'EMPLOYEE',
  extension: '',
  directNumber: '',
  team: '',
  site: '',
  mail: '',
  mobile: '',
};

/** Somebody of the office, or somebody who joins it. */
export function PersonForm({ row, onClose }: { row?: PersonRow; onClose: () => void }) {
  const { t } = useTranslation();
  const me = useMe();
  const { change, error, busy } = useChange(onClose);
  const free = useOffice()?.free;
  const [leaving, setLeaving] = useState(false);
  const [basis, setBasis] = useState(row);
  const person = row?.person ?? NEW;
  const self = row?.id === me.id;
  const [role, setRole] = useState(person.role);
  const room = role === 'ROOM';

  function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const form = event.currentTarget;
    const typed = new FormData(form);
    const text = (name: string) => String(typed.get(name) ?? '').trim();
    const body: PersonBody = {
      name: text('name'),
      // Nobody signs in as a room.
      signInName:
        text('signInName').toLowerCase() || person.signInName || `room-${text('extension')}`,
      role,
      extension: text('extension'),
      directNumber: text('directNumber'),
      team: text('team'),
      site: text('site'),
      mail: text('mail'),
      mobile: text('mobile'),
    };
    void change(async () => {
      if (!basis) {
        const { id } = await post<{ id: number }>('/api/office/people', {
          person: body,
          password: typed.get('password') ?? '',
        });
        return new Back('registerAdded', body.name, () => del(`/api/office/people/${id}`));
      }
      const path = `/api/office/people/${basis.id}`;
      await keepUnlessChanged(
        () => put(`${path}?version=${basis.version}`, body),
        async () => {
          const now = await get<PersonRow>(path);
          takeOver(form, basis.person, now.person);
          setRole((typed) => (typed === basis.person.role ? now.person.role : typed));
          setBasis(now);
        },
      );
      if (typed.get('password')) {
        await put(`${path}/password`, { password: typed.get('password') });
      }
      const after = await get<PersonRow>(path);
      return new Back('registerKept', body.name, () =>
        put(`${path}?version=${after.version}`, basis.person),
      );
    });
  }

  return (
    <form
      onSubmit={submit}
      aria-label={row ? person.name : t('office.addPerson')}
      className="border-primary bg-base-200 my-2 rounded border-l-4 p-3"
    >
      <div className="grid gap-x-4 gap-y-2 sm:grid-cols-3">
        <Field label={t('office.name')} name="name" value={person.name} longest={120} required />
        {!room && (
          <Field
            label={t('office.signInName')}
            name="signInName"
            value={person.signInName}
            longest={60}
            required
          />
        )}
        <Field
          label={t('office.extension')}
          name="extension"
          value={person.extension}
          longest={6}
          required
        />
        <Field
          label={t('office.directNumber')}
          name="directNumber"
          value={person.directNumber}
          offered={free}
          longest={40}
        />
        <Field label={t('office.mobile')} name="mobile" value={person.mobile} longest={40} />
        <Field label={t('office.team')} name="team" value={person.team} required />
        <Field label={t('office.site')} name="site" value={person.site} />
        <Field
          label={t('office.mail')}
          name="mail"
          type="email"
          value={person.mail}
          longest={254}
        />
        {!self && (
          <>
            <label className="flex flex-col">
              <span className="text-sm">{t('office.role')}</span>
              <select
                name="role"
                value={role}
                onChange={(event) => setRole(event.target.value as PersonBody['role'])}
                className="select bg-base-100 mt-0.5 w-full"
              >
                {(['EMPLOYEE', 'ADMINISTRATOR', 'ROOM'] as const).map((role) => (
                  <option key={role} value={role}>
                    {t(`office.roles.${role}`)}
                  </option>
                ))}
              </select>
            </label>
            {!room && (
              <Field
                label={t(row ? 'office.newPassword' : 'office.firstPassword')}
                name="password"
                value=""
                longest={200}
                required={!row}
                hint={t('office.passwordHow')}
              />
            )}
          </>
        )}
      </div>
      {row && !self && !room && <GettingIn id={row.id} name={person.name} />}
      {row && <ActingFor id={row.id} name={person.name} />}
      {row && (
        <p className="mt-2 flex flex-wrap items-center gap-3">
          <button
            type="button"
            className="btn btn-sm btn-plain"
            onClick={() => void openPhone(row.id)}
          >
            {t('office.phone.setUp')}
          </button>
          <span className="quiet text-sm">{t('office.phone.means')}</span>
        </p>
      )}
      {leaving && row && <Leaving row={row} onLeave={(action) => void change(action)} />}
      <FormFoot
        error={error}
        busy={busy}
        keep={t(row ? 'office.keep' : 'office.add')}
        cancel={t('office.cancel')}
        onCancel={onClose}
      >
        {row && !self && !leaving && (
          <button type="button" className="btn btn-plain" onClick={() => setLeaving(true)}>
            {t('office.leaves')}
          </button>
        )}
      </FormFoot>
    </form>
  );
}

interface LeavingProps {
  row: PersonRow;
  onLeave: (action: () => Promise<unknown>) => void;
}

/** What it would mean for whom, before somebody is taken out of the office. */
function Leaving({ row, onLeave }: LeavingProps) {
  const { t } = useTranslation();
  return (
    <Consequences
      label={t('office.leaves')}
      means={t('office.leavesMeans', { name: row.person.name })}
      dependants={useDependants(row.id)}
      none={t('office.nobodyCounts')}
    >
      <button
        type="button"
        className="btn btn-error btn-sm"
        onClick={() =>
          onLeave(async () => {
            const path = `/api/office/people/${row.id}`;
            await del(path);
            return new Back('registerRemoved', row.person.name, () => post(`${path}/return`));
          })
        }
      >
        {t('office.leavesNow', { name: row.person.name })}
      </button>
    </Consequences>
  );
}
