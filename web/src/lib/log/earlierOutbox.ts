import Dexie from 'dexie';
import { liftEntry, type Entry } from '@exetasis/core/record';

const NAME = 'exetasis-outbox';

/**
 * Takes over what an earlier version of the application kept for this person in this browser, keyed by person, job and
 * entry: `keep` makes it safe in today's outbox, and only then it is forgotten there.
 */
export async function takeOverEarlier(user: string, keep: (entries: readonly Entry[]) => Promise<void>): Promise<void> {
	if (!(await Dexie.exists(NAME))) return;
	const earlier = await new Dexie(NAME).open();
	try {
		const table = earlier.table<unknown, string>('entries');
		const own = (await table.toCollection().primaryKeys()).filter((key) => key.startsWith(`${user}/`));
		if (own.length === 0) return;
		await keep((await table.bulkGet(own)).map((entry) => liftEntry(entry) as Entry));
		await table.bulkDelete(own);
	} finally {
		earlier.close();
	}
}
