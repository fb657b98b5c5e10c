/** Faraday constant, C/mol; CODATA 2018, exact. */
export const FARADAY = 96485.33212;
