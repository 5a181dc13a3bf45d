import {
	formatDifference,
	formatNumber,
	formatProbability,
	formatQuantity,
	formatWithUncertainty,
	metric,
	type UnitPreference
} from '@exetasis/core/quantity';

/**
 * How numbers are written: the sign before decimals. Groups of three digits are set apart by a thin space alone: "12.450" with a point
 * between groups would be read as 12.45 where it is typed again (ISO 80000-1:2022, 7.3.1).
 */
export const numerals = ['point-space', 'comma-space'] as const;
type Numerals = (typeof numerals)[number];

/** How one person has figures written: plain data, so that it can be sent to a thread. */
export interface Notation {
	readonly units: UnitPreference;
	readonly numerals: Numerals;
}

/** Writes figures as one person reads them. The functions are those of the core's `quantity`. */
export interface Format {
	readonly units: UnitPreference;
	readonly number: typeof formatNumber;
	readonly quantity: typeof formatQuantity;
	/** A quantity without its unit: where many of one unit stand together. */
	readonly bare: typeof formatQuantity;
	readonly difference: typeof formatDifference;
	readonly withUncertainty: typeof formatWithUncertainty;
	readonly probability: typeof formatProbability;
	/** A number as it is typed: without groups and without zeros at its end. */
	readonly plain: (value: number) => string;
}

const MOST_DIGITS = 6;

/** The format of a notation. The notation is asked for at each figure, so that another choice shows at once. */
export function formatFor(notation: () => Notation): Format {
	const write = (text: string): string =>
		notation().numerals === 'point-space' ? text : text.replaceAll(/(\d)\.(?=\d)/g, '$1,');
	const quantity: typeof formatQuantity = (...given) => write(formatQuantity(...given));
	return {
		get units() {
			return notation().units;
		},
		number: (...given) => write(formatNumber(...given)),
		quantity,
		bare: (...given) => quantity(...given).split('\u00a0')[0],
		difference: (...given) => write(formatDifference(...given)),
		withUncertainty: (...given) => write(formatWithUncertainty(...given)),
		probability: (...given) => write(formatProbability(...given)),
		plain: (value) => write(String(Number(value.toPrecision(MOST_DIGITS))))
	};
}

/** The format of someone whose choice is not known. */
export const defaultFormat = formatFor(() => ({ units: metric, numerals: 'point-space' }));
