import { z } from 'zod';
import { jobSchema } from '../core/src/check/job/jobSchema.ts';

/** The JSON Schema of the job file, generated from the Zod one. */
export function jobJsonSchema(): string {
  const schema = z.toJSONSchema(jobSchema, { target: 'draft-2020-12', io: 'input' });
  return `${JSON.stringify({ title: 'Mellow Probe job, version 2', ...schema }, null, 2)}\n`;
}
