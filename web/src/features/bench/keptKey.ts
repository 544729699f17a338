/** Where this browser keeps sections of the bench. */
export const KEY = 'kolonne.bench.kept'
