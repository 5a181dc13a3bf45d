import Dexie, { type Table } from 'dexie';
import type { Kept } from './outbox.svelte';

/** What waits in this browser, in its own database. */
export class OutboxDatabase extends Dexie {
	declare entries: Table<Kept, string>;
	constructor() {
		super('exetasis');
		this.version(1).stores({ entries: 'id, user' });
	}
}
export { takeOverEarlier } from './earlierOutbox';
