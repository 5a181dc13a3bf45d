import Dexie, { type Table } from 'dexie';
import type { Kept } from './outbox.svelte';
import type { Picture } from './photo';

/** What waits in this browser, in its own database. */
export class OutboxDatabase extends Dexie {
	declare entries: Table<Kept, string>;
	declare pictures: Table<Pick<Picture, 'sha256' | 'jpeg'>, string>;
	constructor() {
		super('exetasis');
		this.version(2).stores({ entries: 'id, user', pictures: 'sha256' });
	}
}
