/** Where a session's page for tablets is. Example: `lentPage('0192…') // '/lent/0192…'`. */
export const lentPage = (session: string): string => `/lent/${session}`;
