import type { Customer } from '@exetasis/core/record';
import type { Visit } from './history';
import { isFixed, type Story } from './stories';

// Who owns what runs at a site: invented, as everything here.
const owners = [
	['Ferry', 'Harrow Sound Ferries'],
	['Hotel', 'Saltholm Hotels'],
	['Net barge', 'Fulmar Fish Farms'],
	['Quarry', 'Greyback Stone']
] as const;

const DAYS_PROMISED = { least: 5, spread: 12 };
const DAY_MS = 86_400_000;

const told: Readonly<Record<Story, Pick<Customer, 'cause' | 'advice'>>> = {
	oneSidedCylinder2: {
		cause: 'The rod of cylinder 2 was out of line: packing and plunger wore on one side.',
		advice: 'Nothing to do: the rod was set straight.'
	},
	scoredPlungerKept: { advice: 'The scored plunger tears its packing. Have it replaced at the next rebuild.' },
	metalInOil: { advice: 'Change the oil after 50 h and look at it for metal.' },
	cavitatesInSummer: { advice: 'Keep the inlet water below 40 °C, or raise the tank.' },
	filterBypassed: { advice: 'Put the inlet filter back: dirty water wears every packing.' }
};

/** Whose pump it is, by when it was promised, and what a released one’s report tells them. */
export function customerOf({ pump, at, meterHours, stage, years }: Visit): Customer {
	const name = owners.find(([site]) => pump.site.startsWith(site))?.[1];
	const promised = new Date(at.getTime() + (DAYS_PROMISED.least + (meterHours % DAYS_PROMISED.spread)) * DAY_MS)
		.toISOString()
		.slice(0, 10);
	const { cause, advice } = pump.story && stage === 'released' ? told[pump.story] : {};
	return {
		...(name ? { name, orderNumber: `${name[0]}-${Math.round(meterHours)}` } : {}),
		promisedOn: promised,
		...(cause && isFixed({ pump, years }) ? { cause } : {}),
		...(advice ? { advice } : {})
	};
}

/** The shop's letterhead. */
export const letterhead = {
	address: 'Quay 4, Harrow Sound\nWorkshop open 7 to 16\nInvented demo shop',
	/** Drawn as SVG. */
	logo: `<svg xmlns="http://www.w3.org/2000/svg" width="560" height="160" viewBox="0 0 560 160">
		<g fill="none" stroke="#1d3b4f" stroke-width="8">
			<rect x="20" y="40" width="150" height="80"/><rect x="60" y="62" width="170" height="36" fill="#1d3b4f"/>
			<path d="M20 20v120M270 30c30 25 30 75 0 100M300 30c30 25 30 75 0 100M330 30c30 25 30 75 0 100"/>
		</g></svg>`
} as const;
