import { gammaUpper } from './gamma';
import { requireThat } from './require';

/** P(X > x) of chi-square with `dof` degrees of freedom, for x ≥ 0 and dof > 0. */
export function chiSquareUpper(x: number, dof: number): number {
	requireThat(x >= 0 && !Number.isNaN(x), 'chiSquareUpper', 'x', x, 'at least 0');
	requireThat(dof > 0 && Number.isFinite(dof), 'chiSquareUpper', 'dof', dof, 'above 0');
	return gammaUpper(x / 2, dof / 2);
}
