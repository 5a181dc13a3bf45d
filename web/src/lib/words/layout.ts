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
export const layoutName = (code: string): string => (names[code] ? `${names[code]} (${code})` : code);
