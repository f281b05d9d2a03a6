import { Problem } from '../../api/client';

/**
 * Keeps a change; when somebody else was faster, looks what they have made of it before that is said.
 *
 * @param look has what there is by now taken over
 */
export async function keepUnlessChanged(keep: () => Promise<void>, look: () => Promise<void>) {
  try {
    await keep();
  } catch (problem) {
    if (problem instanceof Problem && problem.code === 'CHANGED_MEANWHILE') {
      await look();
    }
    throw problem;
  }
}

/**
 * Somebody else has changed meanwhile what is being changed here: where nothing was typed, the form has what they have
 * made of it; what was typed stays.
 *
 * @param before what the form began with
 * @param now how it is by now
 */
export function takeOver<T extends object>(form: HTMLFormElement, before: T, now: T) {
  for (const field of new Set([...Object.keys(before), ...Object.keys(now)] as (keyof T)[])) {
    const input = form.elements.namedItem(String(field));
    if (input instanceof HTMLInputElement && input.type === 'checkbox') {
      input.checked = input.checked === before[field] ? Boolean(now[field]) : input.checked;
    } else if (
      input instanceof HTMLInputElement ||
      input instanceof HTMLSelectElement ||
      input instanceof HTMLTextAreaElement
    ) {
      input.value = input.value === text(before[field]) ? text(now[field]) : input.value;
    }
  }
}

const text = (value: unknown) => (value === undefined || value === null ? '' : String(value));
