import type { ModelSheet } from '@exetasis/core/record';
import { inSentence } from './place';

type LookAlike = ModelSheet['lookAlikes'][number];

const said = {
	same: 'the same part',
	lookAlike: 'they look alike but are different parts',
	different: 'they are easily confused'
} as const;

/** How parts that are confused differ, and by what they are told apart. */
export const toldApart = ({ are, by, text }: LookAlike): string =>
	`${said[are]}. ${text}${by.length > 0 ? ` Compare: ${by.join(', ')}.` : ''}`;

/** With which other parts of the sheet this one is confused, and what tells them apart. */
export const lookAlikesOf = (sheet: Pick<ModelSheet, 'lookAlikes' | 'stations'>, key: string): string[] =>
	sheet.lookAlikes
		.filter(({ stations }) => stations.includes(key))
		.map((lookAlike) => {
			const others = lookAlike.stations
				.filter((other) => other !== key)
				.map((other) => inSentence(sheet.stations.find((station) => station.key === other)?.name ?? other));
			return `The ${others.join(', the ')}: ${toldApart(lookAlike)}`;
		});
