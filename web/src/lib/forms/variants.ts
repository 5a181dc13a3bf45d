import { z } from 'zod';

/** What a pump turned out to be made of as it was opened, as JSON. */
export const variantsSchema = z.object({ variants: z.string().max(4000).default('{}') });
