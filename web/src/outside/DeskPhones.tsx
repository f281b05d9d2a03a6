import { useTranslation } from 'react-i18next';
import { openPhone } from '../devices/openPhone';
import { usePeople } from '../people/store';

/** The desk phones of all colleagues, each of which opens in a window of its own. */
export function DeskPhones() {
  const { t } = useTranslation();
  const people = usePeople((store) => store.people);
  return (
    <>
      <h2 className="mt-4 mb-1 font-bold">{t('outside.deskPhones')}</h2>
      <p className="quiet mb-2">{t('outside.deskPhonesAbout')}</p>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(11rem,1fr))] gap-1.5">
        {people.map((person) => (
          <li key={person.id}>
            <button
              type="button"
              className="btn btn-sm btn-plain w-full justify-start font-normal"
              aria-label={t('outside.openPhone', person)}
              onClick={() => void openPhone(person.id)}
            >
              <span className="font-semibold">{person.extension}</span>
              <span className="truncate">{person.name}</span>
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}
