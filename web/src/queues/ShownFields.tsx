import { useTranslation } from 'react-i18next';
import type { QueueSettings } from '../api/types';
import { FIELDS } from './settings';

/** What callers are asked for first, and what members then see of them. */
export function ShownFields({ settings }: { settings: QueueSettings }) {
  const { t } = useTranslation();
  return (
    <fieldset className="mt-3">
      <legend className="font-semibold">{t('queueSettings.askFirst')}</legend>
      <div className="grid gap-x-4 gap-y-2 sm:grid-cols-3">
        <label className="flex flex-col justify-end sm:col-span-2">
          {t('queueSettings.asks')}
          <input
            type="text"
            name="asks"
            maxLength={40}
            placeholder={t('queueSettings.asksHint')}
            defaultValue={settings.asks}
            className="input bg-base-100 mt-1 w-full"
          />
        </label>
        <label className="flex flex-col justify-end">
          {t('queueSettings.digits')}
          <input
            type="number"
            name="digits"
            min={1}
            max={20}
            required
            defaultValue={settings.digits}
            className="input bg-base-100 mt-1 w-full"
          />
        </label>
        <div role="group" aria-label={t('queueSettings.shows')} className="sm:col-span-3">
          {t('queueSettings.shows')}
          <p className="flex flex-wrap gap-x-4">
            {FIELDS.map((field) => (
              <label key={field} className="flex items-center gap-2">
                <input
                  type="checkbox"
                  name={`shows-${field}`}
                  className="checkbox checkbox-sm"
                  defaultChecked={settings.fields.includes(field)}
                />
                {t(`callerFields.${field}`)}
              </label>
            ))}
          </p>
        </div>
        <label className="flex flex-col justify-end sm:col-span-3">
          {t('queueSettings.address')}
          <input
            type="text"
            inputMode="url"
            name="address"
            maxLength={400}
            placeholder={t('queueSettings.addressHint')}
            aria-describedby="address-how"
            defaultValue={settings.address}
            className="input bg-base-100 mt-1 w-full"
          />
          <span id="address-how" className="quiet text-sm">
            {t('queueSettings.addressHow')}
          </span>
        </label>
      </div>
    </fieldset>
  );
}
