import { finiteAnswer, requireThat } from '../number';

function sized(fn: string, values: Readonly<Record<string, number>>): void {
	for (const [name, value] of Object.entries(values))
		requireThat(value > 0 && Number.isFinite(value), fn, name, value, 'above 0');
}

/**
 * Compression set: the share of the squeeze that a ring does not give back, (t₀ − t₁)/(t₀ − t_g).
 *
 * 0 springs back whole, 1 stays as flat as its gland; below 0 it has swollen. Units: mm, as new, as found, gland depth.
 * Errors: PreconditionError for sizes not above 0, or a gland as deep as the ring is thick (no squeeze to lose).
 * Source: ISO 815-1:2019, 8; ASTM D395-18 method B.
 *
 * @example compressionSet({ asNew: 2.62, found: 2.4, gland: 2.1 }) // 0.423
 */
export function compressionSet({ asNew, found, gland }: { asNew: number; found: number; gland: number }): number {
	sized('compressionSet', { asNew, found, gland });
	requireThat(asNew > gland, 'compressionSet', 'gland', gland, `below the section as new, ${asNew}`);
	return (asNew - found) / (asNew - gland);
}

/** Squeeze left in the gland, as a share of the section: (t − t_g)/t. Below 0 it does not touch. Units: mm. Source: ISO 3601-2:2016. */
export function squeeze(section: number, gland: number): number {
	sized('squeeze', { section, gland });
	return (section - gland) / section;
}

/** Stretch of a ring on its groove: (groove diameter − inside diameter)/inside diameter. Units: mm. Source: ISO 3601-2:2016. */
export function stretch(insideDiameter: number, grooveDiameter: number): number {
	sized('stretch', { insideDiameter, grooveDiameter });
	return (grooveDiameter - insideDiameter) / insideDiameter;
}

/** Share of the gland's section that the ring fills: (π/4)·t²/(depth·width). Above 1 it bursts its gland. Units: mm. Source: ISO 3601-2:2016. */
export function glandFill(section: number, depth: number, width: number): number {
	sized('glandFill', { section, depth, width });
	return finiteAnswer('glandFill', ((Math.PI / 4) * section ** 2) / (depth * width));
}

/** Swell by volume from the section, (t/t₀)² − 1, the length taken as held by its groove. Below 0 it has shrunk. Units: mm. Source: ISO 1817:2022, in the section's terms. */
export function swell(section: number, asNew: number): number {
	sized('swell', { section, asNew });
	return finiteAnswer('swell', (section / asNew) ** 2 - 1);
}

/** Swell by mass: m/m₀ − 1. Units: both alike. Source: ISO 1817:2022, 7.2. */
export function swellByMass(mass: number, asNew: number): number {
	sized('swellByMass', { mass, asNew });
	return finiteAnswer('swellByMass', mass / asNew - 1);
}
