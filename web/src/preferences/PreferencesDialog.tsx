import { useQuery } from '@tanstack/react-query';
import { useId } from 'react';
import { useTranslation } from 'react-i18next';
import { Link } from 'wouter';
import { sentence } from '../api/client';
import type { Preference } from '../api/types';
import { Dialog } from '../ui/Dialog';
import { useShelf } from '../park/store';
import { recordingPolicy } from '../recordings/recordings';
import { usePreferences } from './preferences';

/** What I choose once for all my calls. Each choice counts at once. */
export function PreferencesDialog({ onClose }: { onClose: () => void }) {
  const { t } = useTranslation();
  const id = useId();
  const { preference, choose, error } = usePreferences();
  const shelf = useShelf((store) => store.slots);
  const policy = useQuery(recordingPolicy).data?.policy;
  return (
    <Dialog title={t('preferences.title')} onClose={onClose}>
      {error && (
        <p role="alert" className="text-error mb-2 font-semibold">
          {sentence(error)}
        </p>
      )}
      {preference && (
        <div className="flex flex-col gap-4">
          <label className="flex items-center gap-3">
            <input
              type="checkbox"
              className="toggle toggle-primary"
              checked={preference.callWaiting}
              onChange={(event) => choose({ ...preference, callWaiting: event.target.checked })}
            />
            {t('preferences.callWaiting')}
          </label>
          <div className="flex flex-wrap items-center justify-between gap-3">
            <label htmlFor={`${id}-caller-id`}>{t('preferences.callerId')}</label>
            <select
              id={`${id}-caller-id`}
              className="select w-44"
              value={preference.callerId}
              onChange={(event) =>
                choose({
                  ...preference,
                  callerId: event.target.value as Preference['callerId'],
                })
              }
            >
              {(['DIRECT', 'OFFICE', 'WITHHELD'] as const).map((each) => (
                <option key={each} value={each}>
                  {t(`callerId.${each}`)}
                </option>
              ))}
            </select>
          </div>
          <div className="flex flex-wrap items-center justify-between gap-3">
            <label htmlFor={`${id}-recording`}>{t('preferences.recording')}</label>
            {policy && policy !== 'CHOICE' ? (
              <p id={`${id}-recording`} className="quiet">
                {t(`preferences.recordingOffice.${policy}`)}
              </p>
            ) : (
              <select
                id={`${id}-recording`}
                className="select w-44"
                value={preference.recording}
                onChange={(event) =>
                  choose({
                    ...preference,
                    recording: event.target.value as Preference['recording'],
                  })
                }
              >
                {(['EVERY_CALL', 'ON_DEMAND', 'NEVER'] as const).map((each) => (
                  <option key={each} value={each}>
                    {t(`preferences.recordingIs.${each}`)}
                  </option>
                ))}
              </select>
            )}
          </div>
          <fieldset>
            <legend className="mb-1">{t('preferences.slots')}</legend>
            <div className="grid grid-cols-2 gap-1">
              {shelf.map(({ slot, label }) => (
                <label key={slot} className="flex items-center gap-2">
                  <input
                    type="checkbox"
                    className="checkbox checkbox-sm checkbox-primary"
                    checked={!preference.hiddenSlots.includes(slot)}
                    onChange={(event) =>
                      choose({
                        ...preference,
                        hiddenSlots: event.target.checked
                          ? preference.hiddenSlots.filter((each) => each !== slot)
                          : [...preference.hiddenSlots, slot],
                      })
                    }
                  />
                  {slot} <span className="quiet">{label}</span>
                </label>
              ))}
            </div>
          </fieldset>
          <p className="flex flex-wrap gap-2">
            {(
              [
                ['rings', '/rules'],
                ['greetings', '/voicemail?greetings=1'],
              ] as const
            ).map(([what, to]) => (
              <Link key={what} to={to} className="btn btn-sm btn-plain" onClick={onClose}>
                {t(`preferences.elsewhere.${what}`)}
              </Link>
            ))}
          </p>
        </div>
      )}
    </Dialog>
  );
}
