import { REFUSAL_WORDS } from './refusalWords.js';
import { RULE_WORDS } from './ruleWords.js';

/** What is said of a request and of a refusal, by code: for whoever says sentences to a reader, beside those of core. */
export const API_WORDS: Readonly<Record<string, string>> = { ...RULE_WORDS, ...REFUSAL_WORDS };
