/** Of what the server answers about sections that are kept. */
export const SECTIONS = ['sections']
