import { z } from 'zod';
import type { Customer } from '@exetasis/core/record';
import { dayField, optionalName } from './fields';

/** Who owns the pump, the number of their order, and the promised day: fields of Receive and of Release. */
export const customerFields = {
	customer: optionalName(200),
	orderNumber: optionalName(80),
	promisedOn: dayField.or(z.literal('')).default('')
};

type Typed = { readonly [Name in keyof typeof customerFields]: string };

/** What was typed about the customer; an empty field is left out. */
export const customerIn = ({ customer, orderNumber, promisedOn }: Typed): Customer => ({
	name: customer || undefined,
	orderNumber: orderNumber || undefined,
	promisedOn: promisedOn || undefined
});
