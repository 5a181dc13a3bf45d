import type { Policy } from '@exetasis/core/decide';

type Choice = Exclude<{ [K in keyof Policy]: Policy[K] extends string ? K : never }[keyof Policy], 'school'>;

const renew = [
	['sheet', 'as the model sheet says'],
	['always', 'always renewed while open'],
	['inspect', 'inspected, kept where they pass']
] as const;

/** The customs on which good people differ: what each is about, and what can be chosen. */
export const customChoices: readonly (readonly [Choice, string, readonly (readonly [string, string])[]])[] = [
	[
		'valves',
		'Valves, seats and their springs',
		[
			['singly', 'each by itself'],
			['cylinder', 'all of a cylinder together'],
			['set', 'all of the pump together']
		]
	],
	[
		'springs',
		'A spring is judged by',
		[
			['feel', 'the hand alone'],
			['length', 'its free length against new'],
			['load', 'its load at the working length']
		]
	],
	['seatsAndSprings', 'Valve seats and springs', renew],
	['valveRings', 'Rings under the valves', renew],
	['plungerRings', 'Rings at the plunger', renew],
	['plungerWashers', 'Washers at the plunger', renew],
	['otherRings', 'Other rings and gaskets', renew],
	[
		'abrasive',
		'Abrasive cloth',
		[
			['sheet', 'where the sheet allows it'],
			['never', 'nowhere']
		]
	],
	[
		'powerTools',
		'Power tools on bolts, nuts and caps',
		[
			['sheet', 'where the sheet allows them'],
			['loosen', 'only to loosen'],
			['never', 'nowhere']
		]
	],
	[
		'metal',
		'Metal in the oil, a scored crosshead bore, a cracked manifold',
		[
			['stops', 'stop: the unit is not worth it'],
			['weighed', 'weigh repair against a new unit']
		]
	]
];
