import type { EndReason } from '@exetasis/core/decide';

/** How a part's life ended. */
export const lifeEndName: Readonly<Record<EndReason, string>> = {
	worn: 'worn',
	damaged: 'damaged',
	hurtAtStrip: 'handling damage (strip-down)',
	renewedGood: 'replaced in good condition'
};
