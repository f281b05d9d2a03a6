import { type FormEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { TONES, type Tone, setSound, useSoundSettings } from './settings';

/** Callers whose calls ring with a tone of their own. */
export function ChosenTones() {
  const { t } = useTranslation();
  const chosen = useSoundSettings((settings) => settings.chosen);

  function add(event: FormEvent<HTMLFormElement>) {
    event.preventDefault();
    const data = new FormData(event.currentTarget);
    const number = (data.get('number') as string).trim();
    const others = chosen.filter((each) => each.number !== number);
    setSound({ chosen: [...others, { number, tone: data.get('tone') as Tone }] });
    event.currentTarget.reset();
  }

  return (
    <div>
      <h4 className="mb-1">{t('sound.chosen')}</h4>
      <ul>
        {chosen.map((each) => (
          <li key={each.number} className="flex items-center gap-2 py-0.5">
            <span className="flex-1">
              <span className="font-semibold">{each.number}</span>{' '}
              <span className="quiet">{t(`sound.tone.${each.tone}`)}</span>
            </span>
            <button
              type="button"
              className="btn btn-xs btn-plain"
              aria-label={t('sound.removeName', { number: each.number })}
              onClick={() => setSound({ chosen: chosen.filter((other) => other !== each) })}
            >
              {t('sound.remove')}
            </button>
          </li>
        ))}
      </ul>
      <form onSubmit={add} className="flex flex-wrap gap-2">
        <input
          name="number"
          required
          maxLength={40}
          pattern="[^0-9]*[0-9].*"
          title={t('sound.numberHint')}
          aria-label={t('sound.number')}
          placeholder={t('sound.number')}
          autoComplete="off"
          className="input bg-base-100 min-w-32 flex-1"
        />
        <select name="tone" aria-label={t('sound.toneOf')} className="select w-36">
          {TONES.map((tone) => (
            <option key={tone} value={tone}>
              {t(`sound.tone.${tone}`)}
            </option>
          ))}
        </select>
        <button type="submit" className="btn btn-plain">
          {t('sound.add')}
        </button>
      </form>
    </div>
  );
}
