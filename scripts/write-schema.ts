/** Publishes the build file's JSON Schema: node --import tsx scripts/write-schema.ts */
import { writeFileSync } from 'node:fs';
import { buildFileSchema } from '@sprocket/core';

writeFileSync(
  new URL('../docs/build-file.schema.json', import.meta.url),
  JSON.stringify(buildFileSchema(), null, 2) + '\n',
);
