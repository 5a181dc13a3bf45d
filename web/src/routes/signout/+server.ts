import { redirect } from '@sveltejs/kit';
import { signOut } from '$lib/server/auth/auth';
import { passCookies } from '$lib/server/auth/cookies';

export async function POST({ request, cookies }) {
	passCookies(await signOut(request.headers), cookies);
	redirect(303, '/signin');
}
