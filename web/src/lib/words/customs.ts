import type { Policy } from '@exetasis/core/decide';

type Choice = Exclude<{ [K in keyof Policy]: Policy[K] extends string ? K : never }[keyof Policy], 'renewalPolicy'>;

const renew = [
	['sheet', 'as on the model sheet'],
	['always', 'always replaced'],
	['inspect', 'inspected, reused if they pass']
] as const;

/** The customs on which good people differ: what each is about, and what can be chosen. */
export const customChoices: readonly (readonly [Choice, string, readonly (readonly [string, string])[]])[] = [
	[
		'valves',
		'Valves, seats and valve springs',
		[
			['singly', 'each separately'],
			['cylinder', 'all in a cylinder together'],
			['set', 'all in the pump together']
		]
	],
	[
		'springs',
		'Springs are judged by',
		[
			['feel', 'feel only'],
			['length', 'free length'],
			['load', 'load at the working length']
		]
	],
	['seatsAndSprings', 'Valve seats and springs', renew],
	['valveRings', 'Valve O-rings', renew],
	['plungerRings', 'Plunger O-rings', renew],
	['plungerWashers', 'Plunger washers', renew],
	['otherRings', 'Other O-rings and gaskets', renew],
	[
		'abrasive',
		'Abrasive cloth',
		[
			['sheet', 'if the sheet allows it'],
			['never', 'never']
		]
	],
	[
		'powerTools',
		'Power tools on bolts, nuts and caps',
		[
			['sheet', 'if the sheet allows them'],
			['loosen', 'only to loosen'],
			['never', 'never']
		]
	],
	[
		'metal',
		'Metal in the oil, a scored crosshead bore, a cracked manifold',
		[
			['stops', 'stop: do not rebuild the unit'],
			['weighed', 'compare repair with a new unit']
		]
	]
];
