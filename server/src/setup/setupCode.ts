import { timingSafeEqual } from 'node:crypto';

/** Who asks to set up a shop: the address of the connection, and what the request says of itself. */
interface Asker {
	readonly address: string;
	/** The host that was typed into the browser. */
	readonly host: string;
	/** A proxy passed the request on. */
	readonly passedOn: boolean;
}

const LOOPBACK = /^(127(\.\d{1,3}){3}|::1|::ffff:127(\.\d{1,3}){3})$/;
const LOCAL_HOST = /^(localhost|127\.0\.0\.1|\[::1\])(:\d+)?$/;
const MOST_WRONG = 10;

/** Whether the request comes from the machine on which the server runs. */
export const isHere = ({ address, host, passedOn }: Asker): boolean =>
	LOOPBACK.test(address) && LOCAL_HOST.test(host) && !passedOn;

/** A one-time code that lets a shop be set up from another machine. The start command makes and prints it. */
export class SetupCode {
	#code: string | undefined;
	#wrong = 0;

	constructor(code: string | undefined) {
		this.#code = code || undefined;
	}

	/** Uses the code up if this is it: two requests at the same time cannot both use it. Ten wrong ones use it up as well. */
	take(typed: string): boolean {
		if (!this.#code) return false;
		const [code, given] = [Buffer.from(this.#code), Buffer.from(typed.trim().toUpperCase())];
		const right = code.length === given.length && timingSafeEqual(code, given);
		if (right || ++this.#wrong >= MOST_WRONG) this.#code = undefined;
		return right;
	}

	/** Makes a code that was taken valid again, because nothing came of it. */
	giveBack(typed: string): void {
		this.#code = typed.trim().toUpperCase();
	}
}
