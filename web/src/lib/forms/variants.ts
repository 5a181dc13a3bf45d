import { z } from 'zod';

export const VARIANTS_FORM = 'variants';
export const noVariants = { variants: '{}' };

/** What a pump turned out to be made of as it was opened, as JSON. */
export const variantsSchema = z.object({ variants: z.string().max(4000).default(noVariants.variants) });
