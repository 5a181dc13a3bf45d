import { page } from '$app/state';
import type { DocumentListing } from '@exetasis/server/documents/documents';

/** The shop's documents on the model of the job in hand: of the sheet as a whole, of these steps, of these stations. */
export function documentsAt(at: {
	readonly sheet?: boolean;
	readonly step?: string;
	readonly stations?: readonly string[];
}): DocumentListing[] {
	const all = (page.data.documents ?? []) as readonly DocumentListing[];
	return all.filter(({ about, key }) => {
		if (about === 'sheet') return at.sheet === true;
		return about === 'step' ? key === at.step : (at.stations?.includes(key) ?? false);
	});
}
