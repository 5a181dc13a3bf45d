/** A part by its place: "Ceramic plunger, cylinder 2"; what is itself a cylinder is counted: "Cylinder no. 2". */
export function placeName(name: string, cylinder: number): string {
	if (cylinder === 0) return name;
	return /cylinder$/i.test(name) ? `${name} no. ${cylinder}` : `${name}, cylinder ${cylinder}`;
}

/** A part's name in the middle of a sentence: "the inlet valve seat", but "the V-packings". */
export const inSentence = (name: string): string =>
	/^[A-Z][a-z]/.test(name) ? name[0].toLowerCase() + name.slice(1) : name;
