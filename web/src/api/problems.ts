import { addWords } from '../words';
import words from './words.view.en.json';

addWords(words);
