/** A password that other people have seen has to be changed at the first sign-in. */
export const name = '0020-first-passwords';

export const sql = `
ALTER TABLE "user" ADD COLUMN first_password boolean NOT NULL DEFAULT false;
`;
