import { writeFileSync } from 'node:fs';
import { jobJsonSchema } from './jobJsonSchema.ts';

writeFileSync(new URL('../docs/job.schema.json', import.meta.url), jobJsonSchema());
