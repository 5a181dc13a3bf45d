import type { SignedIn } from '@exetasis/server/auth/auth';

declare global {
	interface Window {
		/** The first cell of the mat that was touched, which may have been before the page came to life. */
		placeTouchedEarly?: string;
	}
	namespace App {
		interface Locals {
			user?: SignedIn;
			/** Set where the database could not be reached while this request was answered. */
			unreachable?: boolean;
		}
		interface Error {
			message: string;
			/** Under which id the server's log has the cause. */
			id?: string;
		}
	}
}

export {};
