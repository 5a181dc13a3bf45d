import { gaussLegendre, powerRule, weightedPolynomials } from '../number';
import { GammaTable } from './gammaTable';

interface PlainRule {
	readonly nodes: Float64Array;
	readonly weights: Float64Array;
}

interface Answer {
	readonly restsOn: readonly unknown[];
	readonly answer: unknown;
}

const MOST_TABLES = 3000;
const MOST_SINGULAR = 500;

/**
 * What forecasts have in common and would otherwise work out again. Who forecasts creates one, keeps it as long as its data, and
 * passes it on. It changes the time that an answer takes, never the answer.
 */
export class LifeContext {
	readonly #rules = new Map<number, PlainRule>();
	readonly #polynomials = new Map<number, readonly Float64Array[]>();
	readonly #singular = new Map<number, (Float64Array | undefined)[]>();
	readonly #cosines = new Map<number, Float64Array>();
	readonly #tables = new Map<number, GammaTable>();
	readonly #answers = new WeakMap<object, Map<string, Answer>>();

	/** `gaussLegendre`, in the kind of list that the other rules are: an innermost loop then knows one kind. */
	rule(n: number): PlainRule {
		return once(this.#rules, n, () => {
			const { nodes, weights } = gaussLegendre(n);
			return { nodes: Float64Array.from(nodes), weights: Float64Array.from(weights) };
		});
	}

	/** `powerRule`: parts of a kind that were inspected together ask for the same ones. */
	singularRule(n: number, power: number): Float64Array {
		if (this.#singular.size >= MOST_SINGULAR && !this.#singular.has(power)) this.#singular.clear();
		const rules = once(this.#singular, power, (): (Float64Array | undefined)[] => []);
		return (rules[n] ??= powerRule(
			n,
			power,
			once(this.#polynomials, n, () => weightedPolynomials(n))
		));
	}

	/** cos(k (j + ½) π / n), row by row. */
	cosines(n: number): Float64Array {
		return once(this.#cosines, n, () =>
			Float64Array.from({ length: n * n }, (_, i) => Math.cos((Math.floor(i / n) * ((i % n) + 0.5) * Math.PI) / n))
		);
	}

	/** The table of a gamma distribution of this shape. */
	table(shape: number): GammaTable {
		if (this.#tables.size >= MOST_TABLES && !this.#tables.has(shape)) this.#tables.clear();
		return once(this.#tables, shape, () => new GammaTable(shape));
	}

	/** What was worked out last for this object under this name, while what it rests on is the same; else it is worked out now. */
	kept<T>(of: object, name: string, restsOn: readonly unknown[], work: () => T): T {
		const known = this.#answers.get(of) ?? new Map<string, Answer>();
		this.#answers.set(of, known);
		const before = known.get(name);
		if (before?.restsOn.every((input, i) => input === restsOn[i])) return before.answer as T;
		const answer = work();
		known.set(name, { restsOn, answer });
		return answer;
	}
}

function once<K, V>(kept: Map<K, V>, key: K, make: () => V): V {
	let value = kept.get(key);
	if (value === undefined) kept.set(key, (value = make()));
	return value;
}
