/** A part by its place: "Ceramic plunger, cylinder 2"; what is itself a cylinder is counted: "Cylinder no. 2". */
export function placeName(name: string, cylinder: number): string {
	if (cylinder === 0) return name;
	return /cylinder$/i.test(name) ? `${name} no. ${cylinder}` : `${name}, cylinder ${cylinder}`;
}
