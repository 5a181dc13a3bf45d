import { metric } from '@exetasis/core/quantity';
import { may } from '@exetasis/server/access';
import { scopeOf } from '$lib/server/request';
import { shopOf } from '@exetasis/server/shops';

export async function load({ locals }) {
	const { user } = locals;
	if (!user)
		return {
			user: undefined,
			shop: undefined,
			units: metric,
			numerals: 'point-space' as const,
			hand: 'right' as const,
			pad: 'touch' as const,
			mayWork: false,
			mayManage: false
		};
	return {
		user: { id: user.id, name: user.name, role: user.role, theme: user.preferences.theme ?? 'light' },
		shop: await shopOf(scopeOf(locals)),
		units: user.preferences.units ?? metric,
		numerals: user.preferences.numerals ?? 'point-space',
		hand: user.preferences.hand ?? 'right',
		pad: user.preferences.pad ?? 'touch',
		mayWork: may(user.role, 'work'),
		mayManage: may(user.role, 'manage')
	};
}
