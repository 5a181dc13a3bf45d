import {
	formatDifference as difference,
	formatNumber as number,
	formatProbability as probability,
	formatQuantity as quantity,
	formatWithUncertainty as withUncertainty
} from '@exetasis/core/quantity';

/** How numbers are written: the sign before decimals, and what stands between groups of three digits. */
export const numerals = ['point-space', 'point-comma', 'comma-space', 'comma-point'] as const;
export type Numerals = (typeof numerals)[number];

const THIN = '\u202f';
const signs: Readonly<Record<Numerals, readonly [decimal: string, group: string]>> = {
	'point-space': ['.', THIN],
	'point-comma': ['.', ','],
	'comma-space': [',', THIN],
	'comma-point': [',', '.']
};
let [decimal, group] = signs['point-space'];

/**
 * Sets how numbers are written from here on: called by the outermost component as it is drawn. A page is drawn in one go, on the
 * server too, so that nobody gets another person's signs.
 */
export function writeNumbers(as: Numerals): void {
	[decimal, group] = signs[as];
}

const write = (text: string): string =>
	text.replaceAll(/\d[\d.\u202f]*/g, (digits) =>
		digits
			.replace(/\.(?=\d)/, '\0')
			.replaceAll(THIN, group)
			.replace('\0', decimal)
	);

export const formatNumber: typeof number = (...given) => write(number(...given));
export const formatQuantity: typeof quantity = (...given) => write(quantity(...given));
export const formatDifference: typeof difference = (...given) => write(difference(...given));
export const formatWithUncertainty: typeof withUncertainty = (...given) => write(withUncertainty(...given));
export const formatProbability: typeof probability = (...given) => write(probability(...given));
