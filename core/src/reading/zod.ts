import { config, z } from 'zod';

// A page's content policy forbids code made from text, and counts even Zod's asking whether it may: told here, before
// any schema is made, Zod does not ask.
config({ jitless: true });

export { z };
