import type { ModelSheet } from '@exetasis/core/record';
import { inSentence } from '../words/place';

const said = {
	same: 'the same part',
	lookAlike: 'looks alike, but is another part',
	different: 'is easily taken for it'
} as const;

/** What the sheet says of parts that are taken for this one, and what tells them apart. */
export function lookAlikesOf(sheet: Pick<ModelSheet, 'lookAlikes' | 'stations'>, key: string): string[] {
	return sheet.lookAlikes
		.filter(({ stations }) => stations.includes(key))
		.map(({ stations, are, by, text }) => {
			const others = stations
				.filter((other) => other !== key)
				.map((other) => inSentence(sheet.stations.find((one) => one.key === other)?.name ?? other));
			const apart = by.length > 0 ? ` Told apart by: ${by.join(', ')}.` : '';
			return `The ${others.join(', the ')}: ${said[are]}. ${text}${apart}`;
		});
}
