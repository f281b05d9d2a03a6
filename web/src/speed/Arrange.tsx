import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';
import type { SpeedDialView } from '../api/types';
import { Dialog } from '../frame/Dialog';
import { useShelf } from '../park/store';
import { addWords } from '../words';
import { keep, keyOf } from './speedDials';
import words from './words.view.en.json';

addWords(words);

const PAGES = [1, 2, 3, 4, 5, 6];

interface Props {
  dials: SpeedDialView[];
  onClose: () => void;
}

/** Puts my keys in order, gives them words of my own, and spreads them over pages. */
export function Arrange({ dials, onClose }: Props) {
  const { t } = useTranslation();
  const [keys, setKeys] = useState(dials);
  const [dragged, setDragged] = useState<number>();
  const [error, setError] = useState('');
  const slots = useShelf((store) => store.slots);

  const put = (id: number, change: Partial<SpeedDialView>) =>
    setKeys(keys.map((each) => (each.id === id ? { ...each, ...change } : each)));

  function move(from: number, to: number) {
    const moved = keys[from];
    if (moved && to >= 0 && to < keys.length) {
      const rest = keys.filter((_, at) => at !== from);
      setKeys([...rest.slice(0, to), moved, ...rest.slice(to)]);
    }
  }

  function addSlot(slot: string) {
    const id = Math.min(0, ...keys.map((each) => each.id)) - 1;
    const made = { label: '', kind: 'SLOT' as const, of: slot, number: '', name: slot };
    setKeys([
      ...keys,
      { ...made, id, page: 1, dial: slot, shown: slot, picture: false, numbers: [] },
    ]);
  }

  async function save() {
    try {
      await keep(keys.map(keyOf));
      onClose();
    } catch (problem) {
      setError(sentence(problem));
    }
  }

  return (
    <Dialog title={t('arrange.title')} onClose={onClose} wide>
      <p className="quiet mb-3">{t(keys.length === 0 ? 'arrange.none' : 'arrange.how')}</p>
      <ol className="flex flex-col gap-1.5">
        {keys.map((dial, index) => {
          const name = dial.name || dial.of;
          return (
            <li
              key={dial.id}
              draggable
              onDragStart={() => setDragged(index)}
              onDragOver={(event) => {
                event.preventDefault();
                if (dragged !== undefined && dragged !== index) {
                  move(dragged, index);
                  setDragged(index);
                }
              }}
              onDragEnd={() => setDragged(undefined)}
              className={`sheet flex cursor-grab flex-wrap items-center gap-2 px-3 py-1.5 ${dragged === index ? 'border-primary' : ''}`}
            >
              <span className="min-w-32 flex-1 truncate font-semibold">{name}</span>
              {dial.numbers.length > 1 && (
                <select
                  aria-label={t('arrange.number', { name })}
                  className="select select-sm w-44"
                  value={dial.dial}
                  onChange={(event) =>
                    put(dial.id, { number: event.target.value, dial: event.target.value })
                  }
                >
                  {dial.numbers.map((each) => (
                    <option key={each.dial} value={each.dial}>
                      {each.shown}
                    </option>
                  ))}
                </select>
              )}
              <input
                type="text"
                aria-label={t('arrange.label', { name })}
                placeholder={t('arrange.label', { name })}
                maxLength={40}
                value={dial.label}
                onChange={(event) => put(dial.id, { label: event.target.value })}
                className="input input-sm bg-base-100 w-44"
              />
              <select
                aria-label={t('arrange.page', { name })}
                className="select select-sm w-24"
                value={dial.page}
                onChange={(event) => put(dial.id, { page: Number(event.target.value) })}
              >
                {PAGES.map((page) => (
                  <option key={page} value={page}>
                    {t('speed.page', { n: page })}
                  </option>
                ))}
              </select>
              <button
                type="button"
                className="btn btn-sm btn-plain"
                aria-label={t('arrange.earlier', { name })}
                onClick={() => move(index, index - 1)}
              >
                {t('arrange.up')}
              </button>
              <button
                type="button"
                className="btn btn-sm btn-plain"
                aria-label={t('arrange.later', { name })}
                onClick={() => move(index, index + 1)}
              >
                {t('arrange.down')}
              </button>
              <button
                type="button"
                className="btn btn-sm btn-plain"
                aria-label={t('arrange.remove', { name })}
                onClick={() => setKeys(keys.filter((each) => each.id !== dial.id))}
              >
                {t('arrange.off')}
              </button>
            </li>
          );
        })}
      </ol>
      <label className="mt-3 flex items-center gap-2 text-sm">
        {t('arrange.slot')}
        <select
          className="select select-sm w-48"
          value=""
          onChange={(event) => addSlot(event.target.value)}
        >
          <option value="">{t('arrange.chooseSlot')}</option>
          {slots.map(({ slot, label }) => (
            <option key={slot} value={slot}>
              {[slot, label].filter(Boolean).join(' · ')}
            </option>
          ))}
        </select>
      </label>
      <p role="alert" className="text-error font-semibold">
        {error}
      </p>
      <button type="button" className="btn btn-primary mt-4" onClick={() => void save()}>
        {t('arrange.keep')}
      </button>
    </Dialog>
  );
}
