import type { CallersBody, PersonView } from '../api/types';

/** So many digits make a number, and not a company's name. */
const DIGITS_OF_A_NUMBER = 5;

/** Whoever is named with commas between: colleagues by name or extension, numbers, and the rest companies. */
export function callersOf(
  kind: CallersBody['kind'],
  named: string,
  people: PersonView[],
): CallersBody {
  const body: CallersBody = { kind, people: [], numbers: [], companies: [] };
  if (kind !== 'CHOSEN') {
    return body;
  }
  for (const each of named.split(',').map((one) => one.trim())) {
    const person = people.find(
      ({ name, extension }) => extension === each || name.toLowerCase() === each.toLowerCase(),
    );
    if (person) {
      body.people.push(person.id);
    } else if (each.replaceAll(/\D/g, '').length >= DIGITS_OF_A_NUMBER) {
      body.numbers.push(each);
    } else if (each) {
      body.companies.push(each);
    }
  }
  return body;
}
