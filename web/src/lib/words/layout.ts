import { OWN_LAYOUT } from '@exetasis/core/draft';

const names: Readonly<Record<string, string>> = {
	L1: 'V-packed plunger block',
	L2: 'Lip-seal plunger block',
	L3: 'Rod-mounted inlet valve, two manifolds',
	L4: 'Cup-piston pump with cylinders',
	L5a: 'Capped-valve plunger pump',
	L5b: 'Capped-valve plunger pump',
	L5c: 'Capped-valve plunger pump',
	L5r: 'Ring-stacked plunger head on a skid unit',
	L6a: 'Split-manifold heavy plunger pump, sprung',
	L6b: 'Split-manifold heavy plunger pump, plain',
	L7a: 'Cartridge-valve pump, one stacked column',
	L7b: 'Cartridge-valve pump, two plates',
	L8: 'Rope-packed sleeve',
	L9: 'Diaphragm head',
	L10: 'Two-cylinder pump with regulator',
	L11: 'Drive end, oil seal'
};

/** A layout as people call it, with its code: "V-packed plunger block (L1)"; a code that we do not know stands by itself. */
export const layoutName = (code: string): string =>
	code === OWN_LAYOUT ? 'Own layout' : names[code] ? `${names[code]} (${code})` : code;

// What one sees from outside, and after the head is lifted.
const tells: Readonly<Record<string, string>> = {
	L1: 'Four nuts on studs. Lifted: threaded seal cases, a plastic pan below the plungers.',
	L2: 'Eight socket screws. Lifted: seal cases pressed in, one grooved seal each.',
	L3: 'Two manifolds one behind the other. Lifted: a cotter pin at the end of each rod.',
	L4: 'Cylinders between two manifolds. Lifted: cups on the rods and shims on the studs.',
	L5a: 'Valve caps in the head. Lifted: pistons held by nuts over copper washers.',
	L5b: 'Valve caps in the head. Lifted: plain plungers, guides of one of two styles.',
	L5c: 'Valve caps with sealer round them. Lifted: plungers held by a bolt, with a copper plate behind.',
	L5r: 'On a skid, the water inlet screwed to it. Lifted: brass rings stacked in the head.',
	L6a: 'A heavy manifold of two halves. Parted: coil springs behind the packings.',
	L6b: 'A heavy manifold of two halves. Parted: packings without springs.',
	L7a: 'One plate over a row of plugs. Off: two cartridges in each bore, one on the other.',
	L8: 'Plates in front and on top. Manifold off: sprung packing supports, rope rings in a sleeve.',
	L9: 'A flat round head with a bolt in its middle. Lifted: diaphragms, no plungers.',
	L10: 'Two cylinders, a regulator with a handle on top. Lifted: white ceramic cylinders.',
	L11: 'The shaft end and its oil seals. The pump end has another sheet.'
};
export const layoutTell = (code: string): string => tells[code] ?? '';
