const LONGEST = 40;

/** A key of letters and digits for something of this name, unlike those that are taken: "Head ring" gives headRing, then headRing2. */
export function keyFor(name: string, taken: Iterable<string>): string {
	const words = name
		.normalize('NFD')
		.replaceAll(/\p{M}/gu, '')
		.split(/[^a-zA-Z0-9]+/)
		.filter((word) => word !== '');
	const joined = words
		.map((word, i) => (i === 0 ? word[0].toLowerCase() : word[0].toUpperCase()) + word.slice(1))
		.join('')
		.slice(0, LONGEST);
	const stem = /^[a-zA-Z]/.test(joined) ? joined : `part${joined}`.slice(0, LONGEST);
	const known = new Set(taken);
	if (!known.has(stem)) return stem;
	let number = 2;
	while (known.has(`${stem}${number}`)) number++;
	return `${stem}${number}`;
}
