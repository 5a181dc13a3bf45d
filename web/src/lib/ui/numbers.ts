import {
	formatDifference as difference,
	formatNumber as number,
	formatProbability as probability,
	formatQuantity as quantity,
	formatWithUncertainty as withUncertainty
} from '@exetasis/core/quantity';

/**
 * How numbers are written: the sign before decimals. Groups of three digits are set apart by a thin space alone: "12.450" with a point
 * between groups would be read as 12.45 where it is typed again (ISO 80000-1:2022, 7.3.1).
 */
export const numerals = ['point-space', 'comma-space'] as const;
export type Numerals = (typeof numerals)[number];

const decimalSign: Readonly<Record<Numerals, string>> = { 'point-space': '.', 'comma-space': ',' };
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
	const decimal = decimalSign[ofRequest() ?? here];
	return decimal === '.' ? text : text.replaceAll(/(\d)\.(?=\d)/g, `$1${decimal}`);
}

export const formatNumber: typeof number = (...given) => write(number(...given));
export const formatQuantity: typeof quantity = (...given) => write(quantity(...given));
/** A quantity as `formatQuantity` writes it, without its unit: where many of one unit stand together. */
export const formatBare: typeof quantity = (...given) => formatQuantity(...given).split('\u00a0')[0];
export const formatDifference: typeof difference = (...given) => write(difference(...given));
export const formatWithUncertainty: typeof withUncertainty = (...given) => write(withUncertainty(...given));
export const formatProbability: typeof probability = (...given) => write(probability(...given));

const MOST_DIGITS = 6;
/** A number as it is typed: without groups and without zeros at its end. */
export const formatPlain = (value: number): string => write(String(Number(value.toPrecision(MOST_DIGITS))));
