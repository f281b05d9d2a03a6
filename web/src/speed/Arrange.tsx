import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { sentence } from '../api/client';
import type { SpeedDialView } from '../api/types';
import { Dialog } from '../ui/Dialog';
import { PictureFile } from '../ui/PictureFile';
import { useLines } from '../lines/lines';
import { attempt } from '../notices/attempt';
import { useShelf } from '../park/store';
import { addWords } from '../words';
import { PATH, keep, keyOf, setPicture } from './speedDials';
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
  const lines = useLines();

  const put = (id: number, change: Partial<SpeedDialView>) =>
    setKeys(keys.map((each) => (each.id === id ? { ...each, ...change } : each)));

  function move(from: number, to: number) {
    const moved = keys[from];
    if (moved && to >= 0 && to < keys.length) {
      const rest = keys.filter((_, at) => at !== from);
      setKeys([...rest.slice(0, to), moved, ...rest.slice(to)]);
    }
  }

  function addKey(kind: 'SLOT' | 'GROUP', of: string, name: string) {
    const id = Math.min(0, ...keys.map((each) => each.id)) - 1;
    const made = { label: '', kind, of, number: '', name, page: 1, dial: of, shown: of };
    setKeys([...keys, { ...made, id, numbers: [] }]);
  }

  async function picture({ id }: SpeedDialView, file?: File) {
    if (await attempt(setPicture(id, file))) {
      // The same address as before would show the same picture as before.
      put(id, { picture: file && `${PATH}/${id}/picture?${file.lastModified}` });
    }
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
              {dial.id > 0 && (
                <PictureFile
                  name={name}
                  src={dial.picture}
                  className="h-8 w-8 object-cover"
                  onPut={(file) => void picture(dial, file)}
                  onDrop={() => void picture(dial)}
                />
              )}
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
      <div className="mt-3 flex flex-wrap gap-x-6 gap-y-2">
        <NewKey
          label={t('arrange.slot')}
          choose={t('arrange.chooseSlot')}
          of={slots.map(({ slot, label }) => ({ of: slot, name: [slot, label].join(' ').trim() }))}
          onChoose={(each) => addKey('SLOT', each.of, each.name)}
        />
        <NewKey
          label={t('arrange.group')}
          choose={t('arrange.chooseGroup')}
          of={lines.map(({ id, name }) => ({ of: String(id), name }))}
          onChoose={(each) => addKey('GROUP', each.of, each.name)}
        />
      </div>
      <p role="alert" className="text-error font-semibold">
        {error}
      </p>
      <button type="button" className="btn btn-primary mt-4" onClick={() => void save()}>
        {t('dialog.keep')}
      </button>
    </Dialog>
  );
}

interface NewKeyProps {
  label: string;
  choose: string;
  of: { of: string; name: string }[];
  onChoose: (chosen: { of: string; name: string }) => void;
}

/** Makes a key for one of these. */
function NewKey({ label, choose, of, onChoose }: NewKeyProps) {
  return (
    <label className="flex items-center gap-2 text-sm">
      {label}
      <select
        className="select select-sm w-44"
        value=""
        onChange={(event) => {
          const chosen = of.find((each) => each.of === event.target.value);
          if (chosen) {
            onChoose(chosen);
          }
        }}
      >
        <option value="">{choose}</option>
        {of.map((each) => (
          <option key={each.of} value={each.of}>
            {each.name}
          </option>
        ))}
      </select>
    </label>
  );
}
