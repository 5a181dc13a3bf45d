import { expose } from 'comlink';
import { decideWhole, economicInterval, type Policy, type WholeInput } from '@exetasis/core/decide';
import { LifeContext } from '@exetasis/core/life';

let whole: WholeInput | undefined;
const context = new LifeContext();

/** The set decision off the page's own thread: the slider must move while it computes. */
const api = {
	/** The mat as it lies, kept until it changes, so that a move of the slider sends the rules alone. */
	hold: (input: WholeInput) => void (whole = input),
	decide: (policy: Policy) => whole && decideWhole({ ...whole, policy, context }),
	findInterval: (policy: Policy) => whole && economicInterval({ ...whole, policy, context })
};
export type DecideWorker = typeof api;
expose(api);
