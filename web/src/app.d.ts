import type { SignedIn } from '@exetasis/server/auth/auth';

declare global {
	interface Window {
		/** The page has come to life: its buttons answer. */
		alive?: true;
		/** The first button that was pressed before. */
		pressedEarly?: HTMLButtonElement | null;
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
