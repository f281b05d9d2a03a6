import { useTranslation } from 'react-i18next';
import type { QueueLines, QueueSettings } from '../api/types';
import { FIRSTS, ORDERS } from './settings';
import { ShownFields } from './ShownFields';

interface Props {
  settings: QueueSettings;
  members: QueueLines['lines'][number]['members'];
}

/** How a line keeps callers, to be changed. */
export function QueueFields({ settings, members }: Props) {
  const { t } = useTranslation();
  const number = (
    name: 'longestWait' | 'most' | 'finishing' | 'within' | 'percent' | 'every',
    least: number,
    most: number,
  ) => (
    <label className="flex flex-col justify-end">
      {t(`queueSettings.${name}`)}
      <input
        type="number"
        name={name}
        min={least}
        max={most}
        required={name !== 'every'}
        defaultValue={settings[name] ?? ''}
        className="input bg-base-100 mt-1 w-full"
      />
    </label>
  );
  const check = (name: 'tellPlace' | 'tellTime' | 'keep' | 'message' | 'elsewhere', of = '') => (
    <label className="flex items-center gap-2 self-end pb-2">
      <input
        type="checkbox"
        name={name}
        className="checkbox checkbox-sm"
        defaultChecked={settings[name]}
      />
      {t(`queueSettings.${of}${name}`)}
    </label>
  );
  return (
    <>
      <div className="mt-3 grid gap-x-4 gap-y-2 sm:grid-cols-3">
        <label className="flex flex-col justify-end">
          {t('queueSettings.order')}
          <select
            name="order"
            defaultValue={settings.order}
            className="select bg-base-100 mt-1 w-full"
          >
            {ORDERS.map((order) => (
              <option key={order} value={order}>
                {t(`queueSettings.orders.${order}`)}
              </option>
            ))}
          </select>
        </label>
        {number('longestWait', 10, 7200)}
        {number('most', 1, 999)}
        {number('finishing', 0, 1800)}
        {number('within', 1, 600)}
        {number('percent', 1, 100)}
        {check('tellPlace')}
        {check('tellTime')}
        {number('every', 10, 600)}
        {check('keep', 'choice.')}
        {check('message', 'choice.')}
        {check('elsewhere', 'choice.')}
      </div>
      <fieldset className="mt-3">
        <legend className="font-semibold">{t('queueSettings.member')}</legend>
        <ul className="grid gap-x-6 gap-y-1 sm:grid-cols-2">
          {members.map(({ person, name }) => {
            const own = settings.members.find((each) => each.person === person);
            return (
              <li key={person} className="flex items-center gap-2">
                <span className="min-w-0 flex-1 truncate">{name}</span>
                <label className="flex items-center gap-1 text-sm">
                  <input
                    type="checkbox"
                    name={`leads-${person}`}
                    aria-label={t('queueSettings.leadsWho', { name })}
                    className="checkbox checkbox-sm"
                    defaultChecked={own?.leads}
                  />
                  {t('queueSettings.leads')}
                </label>
                <input
                  type="number"
                  name={`asked-${person}`}
                  aria-label={t('queueSettings.askedWho', { name })}
                  title={t('queueSettings.asked')}
                  min={0}
                  max={3600}
                  defaultValue={own?.asked ?? 0}
                  className="input input-sm bg-base-100 w-20"
                />
              </li>
            );
          })}
        </ul>
      </fieldset>
      <fieldset className="mt-3">
        <legend className="font-semibold">{t('queueSettings.first')}</legend>
        <ul className="flex flex-col gap-1">
          {FIRSTS.map((why) => {
            const own = settings.preferences.find((each) => each.why === why);
            const what = t(`queueSettings.firsts.${why}`);
            return (
              <li key={why} className="flex flex-wrap items-center gap-2">
                <input
                  type="number"
                  name={`first-${why}`}
                  aria-label={t('queueSettings.priority', { what })}
                  min={0}
                  max={9}
                  defaultValue={own?.priority ?? 0}
                  className="input input-sm bg-base-100 w-16"
                />
                {what}
                {why === 'TAG' && (
                  <input
                    type="text"
                    name="tag"
                    aria-label={t('queueSettings.tag')}
                    maxLength={60}
                    defaultValue={own?.tag}
                    className="input input-sm bg-base-100 w-40"
                  />
                )}
              </li>
            );
          })}
        </ul>
      </fieldset>
      <ShownFields settings={settings} />
    </>
  );
}
