import { z } from 'zod';

// Before any schema: the policy allows no code made from text, and asking whether it does is a fault in the browser's log.
z.config({ jitless: true });
