import { useTranslation } from 'react-i18next';
import type { RulesView } from '../api/types';
import { nameOf } from '../calls/order';
import { attempt } from '../notices/attempt';
import { usePeople } from '../people/store';

interface Props {
  rules: RulesView;
  onKeep: (delegates: number[]) => Promise<unknown>;
}

/** Colleagues who answer and place calls for the owner of the rules. */
export function Delegates({ rules, onKeep }: Props) {
  const { t } = useTranslation();
  const { delegates, mayChange, owner } = rules;
  const ids = delegates.map((each) => each.person ?? 0);
  const others = usePeople((store) => store.people).filter(
    ({ id }) => id !== owner.person && !ids.includes(id),
  );
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
      {delegates.length === 0 && <span className="font-semibold">{t('rules.noDelegates')}</span>}
      <ul className="contents">
        {delegates.map((each) => (
          <li key={each.person} className="flex items-center gap-1.5">
            <span className="font-semibold">{nameOf(each, '')}</span>
            {mayChange && (
              <button
                type="button"
                className="btn btn-xs btn-plain"
                aria-label={t('rules.takeDelegate', { name: nameOf(each, '') })}
                onClick={() => void attempt(onKeep(ids.filter((id) => id !== each.person)))}
              >
                {t('rules.take')}
              </button>
            )}
          </li>
        ))}
      </ul>
      {mayChange && (
        <form
          className="flex items-center gap-1.5"
          onSubmit={(event) => {
            event.preventDefault();
            const form = event.currentTarget;
            const person = Number(new FormData(form).get('person'));
            if (person > 0) {
              void attempt(onKeep([...ids, person])).then((kept) => kept && form.reset());
            }
          }}
        >
          <select
            name="person"
            aria-label={t('rules.delegate')}
            className="select select-sm w-52"
            defaultValue=""
          >
            <option value="">{t('people.chooseColleague')}</option>
            {others.map((each) => (
              <option key={each.id} value={each.id}>
                {each.name}
              </option>
            ))}
          </select>
          <button type="submit" className="btn btn-sm btn-plain">
            {t('rules.addDelegate')}
          </button>
        </form>
      )}
      <p className="quiet w-full text-sm">{t('rules.delegatesHow')}</p>
    </div>
  );
}
