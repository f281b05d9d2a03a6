import { useTranslation } from 'react-i18next';

/** What is written in it is a part of what is shown. */
type Field = HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement;
const FIELDS = 'textarea, input[type=text], select';

/** What is for the screen alone. */
const SCREEN = '.btn, input, svg, canvas, [role=alert]';

function written(field: Field | undefined): string {
  if (field instanceof HTMLSelectElement) {
    return field.value && (field.selectedOptions[0]?.text ?? '');
  }
  return field?.value ?? '';
}

/** The same as is shown, without what cannot be used on paper. A copy of a field has not what was typed there. */
function onPaper(shown: HTMLElement): HTMLElement {
  const paper = document.createElement('div');
  paper.className = 'printed';
  const copy = shown.cloneNode(true) as HTMLElement;
  const fields = shown.querySelectorAll<Field>(FIELDS);
  copy.querySelectorAll(FIELDS).forEach((field, at) => {
    const text = document.createElement('p');
    text.textContent = written(fields[at]);
    field.replaceWith(text);
  });
  copy.querySelectorAll('details').forEach((each) => (each.open = true)); // nobody can open it there
  copy.querySelectorAll(SCREEN).forEach((each) => each.remove());
  paper.append(copy);
  return paper;
}

/** Prints what it stands in, marked as `data-paper`, and nothing else of the page. */
export function PrintKey() {
  const { t } = useTranslation();
  return (
    <button
      type="button"
      className="btn btn-sm btn-plain"
      onClick={(event) => {
        const shown = event.currentTarget.closest<HTMLElement>('[data-paper]');
        if (shown) {
          const paper = onPaper(shown);
          document.body.append(paper);
          window.addEventListener('afterprint', () => paper.remove(), { once: true });
          window.print();
        }
      }}
    >
      {t('print')}
    </button>
  );
}
