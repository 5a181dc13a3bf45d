import type { Customer } from '@exetasis/core/record';
import { may } from '../access';
import type { SignedIn } from '../auth/auth';
import { inTransaction, of, type ShopScope } from '../db/scope';

type CustomerKept = 'kept' | 'unknownJob' | 'leadOnly';

/** Changes what is on record of a job's customer and what they are told; what a released job says a lead alone changes. */
export const keepCustomer = (
	scope: ShopScope,
	user: Pick<SignedIn, 'role'>,
	jobId: string,
	change: Partial<Customer>
): Promise<CustomerKept> =>
	inTransaction(scope, async (within): Promise<CustomerKept> => {
		const job = await of(within, 'job').one({ id: jobId }, { lock: true });
		if (!job) return 'unknownJob';
		if (job.releasedAt && !may(user.role, 'manage')) return 'leadOnly';
		const said = Object.entries({ ...job.customer, ...change }).filter(([, value]) => value !== undefined);
		await of(within, 'job').change({ id: jobId }, { customer: Object.fromEntries(said) });
		return 'kept';
	});
