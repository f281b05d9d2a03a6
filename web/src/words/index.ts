import i18next from 'i18next';
import { initReactI18next } from 'react-i18next';

/** Each feature keeps its words beside its code; together they are the one catalogue. */
const features = import.meta.glob<Record<string, unknown>>('../*/words.en.json', {
  eager: true,
  import: 'default',
});

void i18next.use(initReactI18next).init({
  lng: 'en',
  fallbackLng: 'en',
  resources: { en: { translation: Object.assign({}, ...Object.values(features)) as object } },
  interpolation: { escapeValue: false },
  // Words that come later are shown as soon as they are there.
  react: { bindI18nStore: 'added' },
});

/** Words of a view that loads when it is opened, and brings them along. */
export function addWords(words: object) {
  i18next.addResourceBundle('en', 'translation', words, /* deep */ true, /* overwrite */ true);
}
