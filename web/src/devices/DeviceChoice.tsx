import { IconDeviceLandlinePhone } from '@tabler/icons-react';
import { useEffect, useId, useState, type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { del, post, put } from '../api/client';
import type { DeviceChoice as Choice, DevicesView, PhoneView } from '../api/types';
import { attempt } from '../notices/attempt';
import { useMe } from '../session/session';
import { timeOfDay } from '../words/time';
import { openPhone } from './openPhone';
import { devicesStore, phoneOf, useDevices } from './store';
import { MomentField } from '../words/MomentField';

/** What is chosen otherwise; of delays null stands for never. */
type Change = { [What in keyof Choice]?: Choice[What] | null };

/** After so many seconds a device may begin to ring; empty for never. */
const DELAYS = ['0', '5', '10', '15', '20', ''];

/** Which of my devices place calls and ring, and desk phones of others that I could use. */
export function DeviceChoice() {
  const { t } = useTranslation();
  const me = useMe();
  const view = useDevices((store) => store.view);
  useEffect(() => void devicesStore.load(), []); // others come and go, of which nobody is told
  if (!view) {
    return null;
  }
  const phone = phoneOf(view);
  const choose = (change: Change) =>
    void attempt(put('/api/devices/choice', { ...view.choice, ...change }));
  return (
    <section aria-label={t('devices.title')} className="flex flex-col gap-3">
      <h3 className="font-bold">{t('devices.title')}</h3>
      <div className="grid gap-x-8 gap-y-3 md:grid-cols-2">
        <fieldset className="flex flex-col gap-1.5">
          <legend className="mb-1">{t('devices.places')}</legend>
          <Places value="WINDOW" view={view} onChoose={choose} label={t('devices.window')} />
          <Places
            value="PHONE"
            view={view}
            onChoose={choose}
            label={phone ? nameOf(phone, me.id, t) : t('devices.noPhone')}
          />
          <Places
            value="OUTSIDE"
            view={view}
            onChoose={choose}
            label={
              view.choice.outside
                ? t('devices.outside', { number: view.choice.outside })
                : t('devices.noOutside')
            }
          />
          <OutsideNumber
            key={view.choice.outside}
            number={view.choice.outside ?? ''}
            onKeep={(outside) =>
              choose({
                outside: outside || null,
                places: outside || view.choice.places !== 'OUTSIDE' ? view.choice.places : 'WINDOW',
              })
            }
          />
          {me.standIns && (
            <button
              type="button"
              className="btn btn-sm btn-plain self-start"
              onClick={() => void openPhone()}
            >
              <IconDeviceLandlinePhone size={18} aria-hidden="true" />
              {t('devices.open')}
            </button>
          )}
          {view.lentTo && (
            <p>
              {t('devices.lentTo', { name: view.lentTo })}{' '}
              <button
                type="button"
                className="btn btn-sm btn-plain"
                onClick={() => void attempt(del(`/api/devices/borrowed/${me.id}`))}
              >
                {t('devices.takeBack')}
              </button>
            </p>
          )}
        </fieldset>
        <div className="flex flex-col gap-2">
          <Rings
            label={t('devices.windowRings')}
            after={view.choice.windowAfter}
            onChoose={(windowAfter) => choose({ windowAfter })}
          />
          <Rings
            label={t('devices.phoneRings')}
            after={view.choice.phoneAfter}
            onChoose={(phoneAfter) => choose({ phoneAfter })}
          />
          {view.phones
            .filter((each) => each.lent)
            .map((each) => (
              <p key={each.device}>
                {each.until
                  ? t('devices.yoursUntil', { name: each.name, time: timeOfDay(each.until) })
                  : t('devices.yours', { name: each.name })}{' '}
                <button
                  type="button"
                  className="btn btn-sm btn-plain"
                  onClick={() => void attempt(del(`/api/devices/borrowed/${each.owner}`))}
                >
                  {t('devices.giveBack')}
                </button>
              </p>
            ))}
          {view.free.length > 0 && <Borrow free={view.free} />}
        </div>
      </div>
    </section>
  );
}

function nameOf(phone: PhoneView, me: number, t: ReturnType<typeof useTranslation>['t']) {
  return phone.owner === me
    ? t('devices.phone', { extension: phone.extension })
    : t('devices.phoneOf', { name: phone.name });
}

interface PlacesProps {
  value: Choice['places'];
  view: DevicesView;
  label: string;
  onChoose: (change: Change) => void;
}

/** One device that can place calls. */
function Places({ value, view, label, onChoose }: PlacesProps) {
  const possible =
    value === 'WINDOW' ||
    (value === 'PHONE' ? view.phones.length > 0 : Boolean(view.choice.outside));
  const chosen = view.choice.places === value;
  return (
    <label className={`flex items-center gap-2 ${possible ? '' : 'quiet'}`}>
      <input
        type="radio"
        name="placing"
        className="accent-primary h-4 w-4"
        disabled={!possible && !chosen}
        checked={chosen}
        onChange={() => onChoose({ places: value })}
      />
      {label}
    </label>
  );
}

/** Names the telephone outside that can place calls; an empty number takes it away. */
function OutsideNumber({ number, onKeep }: { number: string; onKeep: (number: string) => void }) {
  const { t } = useTranslation();
  const how = useId();
  function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    onKeep((new FormData(event.currentTarget).get('number') as string).trim());
  }
  return (
    <form className="ml-6 flex flex-col gap-1" onSubmit={submit}>
      <span className="flex gap-2">
        <input
          type="tel"
          name="number"
          maxLength={60}
          defaultValue={number}
          aria-label={t('devices.outsideNumber')}
          placeholder={t('devices.outsideNumber')}
          aria-describedby={how}
          className="input input-sm bg-base-100 min-w-0 flex-1"
        />
        <button type="submit" className="btn btn-sm btn-plain">
          {t('devices.keepNumber')}
        </button>
      </span>
      <span id={how} className="quiet text-sm">
        {t('devices.outsideHow')}
      </span>
    </form>
  );
}

interface RingsProps {
  label: string;
  after?: number | null;
  onChoose: (after: number | null) => void;
}

/** When a device begins to ring. */
function Rings({ label, after, onChoose }: RingsProps) {
  const { t } = useTranslation();
  return (
    <label className="flex items-center justify-between gap-3">
      {label}
      <select
        className="select select-sm bg-base-100 w-44"
        value={after ?? ''}
        onChange={(event) =>
          onChoose(event.target.value === '' ? null : Number(event.target.value))
        }
      >
        {DELAYS.map((each) => (
          <option key={each} value={each}>
            {each === ''
              ? t('devices.never')
              : each === '0'
                ? t('devices.atOnce')
                : t('devices.after', { seconds: each })}
          </option>
        ))}
      </select>
    </label>
  );
}

/** Uses a desk phone of somebody who is absent. */
function Borrow({ free }: { free: PhoneView[] }) {
  const { t } = useTranslation();
  const [owner, setOwner] = useState('');
  const title = useId();
  function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const until = new FormData(event.currentTarget).get('until') as string;
    void attempt(post(`/api/devices/borrowed/${owner}`, until ? { until } : {}));
  }
  return (
    <form aria-labelledby={title} className="flex flex-wrap items-end gap-2" onSubmit={submit}>
      <p id={title} className="w-full">
        {t('devices.borrow')}
      </p>
      <label className="min-w-0 flex-1">
        <span className="text-sm">{t('devices.whose')}</span>
        <select
          required
          className="select select-sm bg-base-100 w-full"
          value={owner}
          onChange={(event) => setOwner(event.target.value)}
        >
          <option value="">{t('devices.choose')}</option>
          {free.map((each) => (
            <option key={each.device} value={each.owner}>
              {each.name} {each.extension}
            </option>
          ))}
        </select>
      </label>
      <label>
        <span className="block text-sm">{t('devices.until')}</span>
        <MomentField name="until" moment="" look="input-sm w-44" />
      </label>
      <button type="submit" className="btn btn-sm btn-primary" disabled={owner === ''}>
        {t('devices.use')}
      </button>
    </form>
  );
}
