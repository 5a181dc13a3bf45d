import { readNetwork, startingNetwork, type CauseNetwork, type NetworkFault } from '@exetasis/core/trace';
import type { SignedIn } from '../auth/auth';
import { inTransaction, of, wasTaken, type ShopScope } from '../db/scope';

export interface NetworkInForce {
	readonly network: CauseNetwork;
	/** 0: what every shop begins with. */
	readonly revision: number;
	readonly madeBy?: string;
	readonly madeAt?: Date;
}

/** What the shop believes of causes now. */
export async function networkOf(scope: ShopScope): Promise<NetworkInForce> {
	const last = await of(scope, 'causeNetwork').one({}, { order: [['revision', 'DESC']] });
	if (!last) return { network: startingNetwork, revision: 0 };
	return { network: last.body, revision: last.revision, madeBy: last.madeBy, madeAt: last.madeAt };
}

type NetworkKept =
	| { readonly kind: 'kept'; readonly revision: number }
	| { readonly kind: 'faults'; readonly faults: readonly NetworkFault[] }
	/** Someone else kept one meanwhile. */
	| { readonly kind: 'overtaken'; readonly revision: number };

/** Keeps a network as the next revision; what was there before stays on record. */
export function keepNetwork(scope: ShopScope, by: SignedIn, basedOn: number, input: unknown): Promise<NetworkKept> {
	const read = readNetwork(input);
	if ('faults' in read) return Promise.resolve({ kind: 'faults', faults: read.faults });
	return inTransaction(scope, async (within): Promise<NetworkKept> => {
		const { revision } = await networkOf(within);
		if (revision !== basedOn) return { kind: 'overtaken', revision };
		const made = { revision: revision + 1, body: read.network, madeBy: by.name, madeAt: new Date() };
		await of(within, 'causeNetwork').add(made);
		return { kind: 'kept', revision: revision + 1 };
	}).catch(async (error: unknown): Promise<NetworkKept> => {
		if (!wasTaken(error)) throw error;
		return { kind: 'overtaken', revision: (await networkOf(scope)).revision };
	});
}
