import { useCallback, useState, type KeyboardEvent } from 'react';
import { useTranslation } from 'react-i18next';
import { usePeople } from '../people/store';
import { useMe } from '../session/session';
import { DialOption } from './DialOption';
import { useFinder } from './finder';
import { useSteps } from './steps';

/** More would cover what is beneath. */
const MOST = 5;

/** A colleague being typed, found as in the dial field. */
export function usePersonTyped() {
  const [text, setText] = useState('');
  const me = useMe();
  const people = usePeople((store) => store.people);
  const { wanted, options, first, pick } = useFinder(text, MOST, me.id, 'person');
  const steps = useSteps(options, first);

  const type = (next: string) => {
    setText(next);
    steps.reset();
  };

  /** Who is meant: nobody in particular when nothing is typed, and not known when nobody is called so. */
  const meant = useCallback(async () => {
    if (wanted === '') {
      return undefined;
    }
    const to = (await pick(steps.step ?? { row: 0, number: 0 }))?.to;
    return people.find((person) => person.extension === to)?.id ?? null;
  }, [wanted, pick, steps.step, people]);

  return { text, type, options, steps, meant };
}

interface Props {
  id: string;
  typed: ReturnType<typeof usePersonTyped>;
  placeholder: string;
  onKeyDown: (event: KeyboardEvent) => void;
}

/** Where a colleague is typed; whoever is meant stands marked in the list beneath. */
export function PersonField({ id, typed, placeholder, onKeyDown }: Props) {
  const { t } = useTranslation();
  const [here, setHere] = useState(false);
  const { options, steps } = typed;
  const open = here && options.length > 0;
  return (
    <div className="relative">
      <input
        id={id}
        type="text"
        role="combobox"
        aria-expanded={open}
        aria-controls={`${id}-list`}
        aria-activedescendant={open ? `${id}-${steps.chosen}` : undefined}
        autoComplete="off"
        spellCheck={false}
        placeholder={placeholder}
        value={typed.text}
        onChange={(event) => typed.type(event.target.value)}
        onFocus={() => setHere(true)}
        onBlur={() => setHere(false)}
        onKeyDown={(event) => {
          if (event.key === 'ArrowRight' || event.key === 'ArrowLeft' || !steps.stepBy(event)) {
            onKeyDown(event);
          }
        }}
        className="input bg-base-100 w-full"
      />
      <ul
        id={`${id}-list`}
        role="listbox"
        aria-label={t('dial.results')}
        hidden={!open}
        className="sheet absolute z-30 mt-1 w-80 max-w-[80vw] shadow-lg"
      >
        {options.map((option, index) => (
          <DialOption
            key={option.key}
            id={`${id}-${index}`}
            option={option}
            chosen={index === steps.chosen}
            nth={0}
            onChoose={() => {
              typed.type(option.kind === 'person' ? option.person.name : typed.text);
              setHere(false);
            }}
          />
        ))}
      </ul>
    </div>
  );
}
