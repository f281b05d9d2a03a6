import { useState } from 'react';
import { useTranslation } from 'react-i18next';
import { usePeople } from '../people/store';

interface MembersProps {
  legend: string;
  /** What the field says in which another one is chosen. */
  add: string;
  /** Whether it matters who comes first. */
  ordered?: boolean;
  members: number[];
  onChange: (members: number[]) => void;
}

/** Several people, as those who answer a line. */
export function Members({ legend, add, ordered = false, members, onChange }: MembersProps) {
  const { t } = useTranslation();
  const people = usePeople((store) => store.people);
  const nameOf = (id: number) => people.find((each) => each.id === id)?.name ?? '';
  const [dragged, setDragged] = useState<number>();
  function move(id: number, to: number) {
    const all = members.filter((each) => each !== id);
    all.splice(to, 0, id);
    onChange(all);
  }
  return (
    <fieldset className="mt-2">
      <legend className="text-sm">{legend}</legend>
      <ol className="flex flex-wrap gap-1.5">
        {members.map((id, at) => (
          <li
            key={id}
            draggable={ordered}
            onDragStart={() => setDragged(id)}
            onDragEnter={() => dragged !== undefined && dragged !== id && move(dragged, at)}
            onDragOver={(event) => event.preventDefault()}
            onDragEnd={() => setDragged(undefined)}
            className={`bg-base-100 flex ${ordered ? 'cursor-grab' : ''} items-center gap-1 rounded border py-0.5 pl-2 ${dragged === id ? 'border-primary' : 'border-base-300'}`}
          >
            {nameOf(id)}
            {ordered && at > 0 && (
              <button
                type="button"
                className="btn btn-xs btn-plain"
                aria-label={t('office.earlier', { name: nameOf(id) })}
                onClick={() => move(id, at - 1)}
              >
                ←
              </button>
            )}
            <button
              type="button"
              className="btn btn-xs btn-plain"
              aria-label={t('office.takeOut', { name: nameOf(id) })}
              onClick={() => onChange(members.filter((each) => each !== id))}
            >
              {t('office.out')}
            </button>
          </li>
        ))}
      </ol>
      <select
        aria-label={add}
        className="select select-sm bg-base-100 mt-1 w-60"
        value=""
        onChange={(event) => onChange([...members, Number(event.target.value)])}
      >
        <option value="">{add}</option>
        {people
          .filter((each) => !members.includes(each.id))
          .map((each) => (
            <option key={each.id} value={each.id}>
              {each.name} {each.extension}
            </option>
          ))}
      </select>
    </fieldset>
  );
}
