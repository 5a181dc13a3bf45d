import type { Story } from './stories';

/** A case that the demo's shop has opened on one of its stories. */
interface DemoCase {
	readonly story: Story;
	readonly station: string;
	readonly cylinder: number;
	readonly pattern: string;
	readonly cause: string;
	readonly hypothesis: string;
	/** Years after the demo's beginning at whose next rebuild it was opened. */
	readonly openedYears: number;
	readonly acted?: {
		readonly years: number;
		readonly action: string;
		readonly effectiveness: number;
		readonly watchHours: number;
	};
	readonly confirmed?: { readonly years: number; readonly says: string };
}

export const cases: readonly DemoCase[] = [
	{
		story: 'oneSidedCylinder2',
		station: 'packing',
		cylinder: 2,
		pattern: 'oneSidedWear',
		cause: 'rodOutOfLine',
		hypothesis: 'Always cylinder 2, always the same side: the seals are not to blame, the rod stands out of line.',
		openedYears: 2.6,
		acted: {
			years: 3.2,
			action: 'Crosshead and rod of cylinder 2 renewed, runout measured after it.',
			effectiveness: 0.9,
			watchHours: 3000
		},
		confirmed: { years: 3.6, says: 'The old crosshead was worn to one side; the next rebuild came without the mark.' }
	},
	{
		story: 'scoredPlungerKept',
		station: 'packing',
		cylinder: 1,
		pattern: 'lipTorn',
		cause: 'wornMate',
		hypothesis: 'Each new packing goes onto the plunger with the old scores.',
		openedYears: 3.5
	},
	{
		story: 'cavitatesInSummer',
		station: 'inletSeat',
		cylinder: 2,
		pattern: 'pitted',
		cause: 'airInSuction',
		hypothesis: 'Every summer, on all cylinders, inlet side alone: the sea chest filter clogs in warm water.',
		openedYears: 2.7,
		acted: {
			years: 2.7,
			action: 'The engineer on board was asked to clean the filter every week from June on.',
			effectiveness: 0.5,
			watchHours: 6000
		}
	}
];
