import { config, z } from 'zod';
import { issueWords } from './issueWords.ts';

// A page's content policy forbids code made from text, and counts even Zod's asking whether it may: told here, before
// any schema is made, Zod does not ask. Its issues are put in our words as they are made, by their codes.
config({ jitless: true, localeError: issueWords });

export { z };
