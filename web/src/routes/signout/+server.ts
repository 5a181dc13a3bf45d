import { redirect } from '@sveltejs/kit';
import { signOut } from '@exetasis/server/auth/auth';
import { passCookies } from '$lib/server/cookies';

export async function POST({ request, cookies }) {
	passCookies(await signOut(request.headers), cookies);
	redirect(303, '/signin');
}
