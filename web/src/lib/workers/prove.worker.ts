import { expose } from 'comlink';
import {
	shaftOrders,
	whichValve,
	type PressureTrace,
	type ShaftOrders,
	type TraceFinding,
	type TraceProblem
} from '@exetasis/core/prove';
import type { CrankDrive } from '@exetasis/core/mechanics';

export type TraceAnswer =
	TraceProblem | { readonly kind: 'told'; readonly orders: ShaftOrders; readonly finding: TraceFinding };

/** What a pressure trace tells, off the page's own thread. */
const api = {
	analyse(trace: PressureTrace, drive: CrankDrive): TraceAnswer {
		const orders = shaftOrders(trace);
		return orders.kind === 'problem' ? orders : { kind: 'told', orders, finding: whichValve(drive, orders) };
	}
};
export type ProveWorker = typeof api;
expose(api);
