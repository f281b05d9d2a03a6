import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { get, put } from '../api/client';
import type { OfficeRegister } from '../api/types';
import { Field } from './parts/Field';
import { linesOf } from '../ui/lines';
import { FormFoot, Section } from './parts/Section';
import { keepUnlessChanged, takeOver } from './parts/meanwhile';
import { Back, useChange, useLineRegister } from './office';

interface Props {
  register: OfficeRegister;
}

/** As it stands in the fields of the form. */
const written = ({ identity }: OfficeRegister) => ({
  ...identity,
  ranges: identity.ranges.join('\n'),
});

/** What the office is called, where it is, and by which numbers it is reached. */
export function Identity({ register }: Props) {
  const { t, i18n } = useTranslation();
  /** Whether it was kept and not touched since. */
  const [kept, setKept] = useState(false);
  const [identity] = useState(register.identity);
  const basis = useRef(register);
  const form = useRef<HTMLFormElement>(null);
  const queries = useQueryClient();
  const lines = useLineRegister();
  const { change, error, busy } = useChange(() => setKept(true));
  const countries = new Intl.DisplayNames([i18n.language || 'en'], { type: 'region' });

  // What somebody else changes comes in where nothing was typed.
  useEffect(() => {
    if (form.current) {
      takeOver(form.current, written(basis.current), written(register));
    }
    basis.current = register;
  }, [register]);

  function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const typed = new FormData(event.currentTarget);
    const text = (name: string) => String(typed.get(name) ?? '').trim();
    const keep = () =>
      put(`/api/office/identity?version=${basis.current.version}`, {
        ranges: linesOf(text('ranges')),
        name: text('name'),
        region: text('region'),
        zone: text('zone'),
        mainNumber: text('mainNumber'),
        accessCode: text('accessCode'),
        outsideLines: Number(text('outsideLines')),
        frontDesk: text('frontDesk') ? Number(text('frontDesk')) : undefined,
        voicemailExtension: text('voicemailExtension'),
        voicemailNumber: text('voicemailNumber'),
      });
    const was = basis.current.identity;
    void change(async () => {
      await keepUnlessChanged(keep, () =>
        queries.invalidateQueries({ queryKey: ['office', 'identity'] }),
      );
      const after = await get<OfficeRegister>('/api/office/identity');
      return new Back('registerKept', was.name || t('office.identity'), () =>
        put(`/api/office/identity?version=${after.version}`, was),
      );
    });
  }

  return (
    <Section id="identity" title={t('office.identity')} about={t('office.identityAbout')}>
      <form ref={form} onSubmit={submit} onChange={() => kept && setKept(false)}>
        <div className="grid gap-x-4 gap-y-2 sm:grid-cols-3">
          <Field label={t('office.name')} name="name" value={identity.name} required />
          <label className="flex flex-col">
            <span className="text-sm">{t('office.region')}</span>
            <select
              name="region"
              defaultValue={identity.region}
              className="select bg-base-100 mt-0.5 w-full"
            >
              {register.regions
                .map((code) => ({ code, name: countries.of(code) ?? code }))
                .sort((one, other) => one.name.localeCompare(other.name))
                .map(({ code, name }) => (
                  <option key={code} value={code}>
                    {name}
                  </option>
                ))}
            </select>
          </label>
          <label className="flex flex-col">
            <span className="text-sm">{t('office.zone')}</span>
            <select
              name="zone"
              defaultValue={identity.zone}
              className="select bg-base-100 mt-0.5 w-full"
            >
              {[...new Set([identity.zone, ...register.zones])].map((zone) => (
                <option key={zone} value={zone}>
                  {zone.replaceAll('_', ' ')}
                </option>
              ))}
            </select>
          </label>
          <Field
            label={t('office.mainNumber')}
            name="mainNumber"
            value={identity.mainNumber}
            longest={40}
          />
          <Field
            label={t('office.outsideLines')}
            name="outsideLines"
            type="number"
            value={identity.outsideLines}
            required
          />
          <Field
            label={t('office.accessCode')}
            name="accessCode"
            value={identity.accessCode}
            longest={1}
          />
          <label className="flex flex-col">
            <span className="text-sm">{t('office.frontDesk')}</span>
            <select
              name="frontDesk"
              key={lines?.length}
              defaultValue={register.identity.frontDesk ?? ''}
              className="select bg-base-100 mt-0.5 w-full"
            >
              <option value="">{t('office.nobody')}</option>
              {lines?.map(({ id, line }) => (
                <option key={id} value={id}>
                  {line.name}
                </option>
              ))}
            </select>
          </label>
          <Field
            label={t('office.voicemailExtension')}
            name="voicemailExtension"
            value={identity.voicemailExtension}
            longest={6}
          />
          <Field
            label={t('office.voicemailNumber')}
            name="voicemailNumber"
            value={identity.voicemailNumber}
            longest={40}
          />
        </div>
        <label className="mt-2 flex flex-col">
          <span className="text-sm">{t('office.ranges')}</span>
          <textarea
            name="ranges"
            rows={2}
            aria-describedby="office-ranges"
            defaultValue={written(register).ranges}
            className="input bg-base-100 mt-0.5 h-auto w-full p-2"
          />
        </label>
        <p id="office-ranges" className="quiet mt-0.5 text-sm">
          {t('office.rangesHow')}{' '}
          {register.identity.ranges.length > 0 &&
            t('office.rangesFree', { count: register.freeCount, first: register.free[0] })}
        </p>
        <FormFoot error={error} busy={busy} keep={t('office.keep')}>
          <span role="status">{kept && t('office.kept')}</span>
        </FormFoot>
      </form>
    </Section>
  );
}
