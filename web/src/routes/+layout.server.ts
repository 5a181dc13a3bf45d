import { may } from '@exetasis/server/access';
import { notationOf, scopeOf } from '$lib/server/request';
import { shopOf } from '@exetasis/server/shops';

export async function load({ locals }) {
	const { user } = locals;
	if (!user)
		return {
			user: undefined,
			shop: undefined,
			notation: notationOf(locals),
			hand: 'right' as const,
			pad: 'touch' as const,
			mayWork: false,
			mayManage: false
		};
	return {
		user: { id: user.id, name: user.name, role: user.role, theme: user.preferences.theme ?? 'light' },
		shop: await shopOf(scopeOf(locals)),
		notation: notationOf(locals),
		hand: user.preferences.hand ?? 'right',
		pad: user.preferences.pad ?? 'touch',
		mayWork: may(user.role, 'work'),
		mayManage: may(user.role, 'manage')
	};
}
