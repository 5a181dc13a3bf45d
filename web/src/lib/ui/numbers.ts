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
let here: Numerals = 'point-space';
let ofRequest: () => Numerals | undefined = () => undefined;

/** Sets how numbers are written in this browser from here on: called by the outermost component as it is drawn. */
export function writeNumbers(as: Numerals): void {
	here = as;
}

/** On the server, where many are answered at once: whose request it is says how numbers are written in it. */
export function writeNumbersOfRequest(of: () => Numerals | undefined): void {
	ofRequest = of;
}

function write(text: string): string {
	const [decimal, group] = signs[ofRequest() ?? here];
	return text.replaceAll(/\d[\d.\u202f]*/g, (digits) =>
		digits
			.replace(/\.(?=\d)/, '\0')
			.replaceAll(THIN, group)
			.replace('\0', decimal)
	);
}

export const formatNumber: typeof number = (...given) => write(number(...given));
export const formatQuantity: typeof quantity = (...given) => write(quantity(...given));
export const formatDifference: typeof difference = (...given) => write(difference(...given));
export const formatWithUncertainty: typeof withUncertainty = (...given) => write(withUncertainty(...given));
export const formatProbability: typeof probability = (...given) => write(probability(...given));
