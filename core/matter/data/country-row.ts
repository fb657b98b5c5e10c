/** A country: what it is called, and whom one calls there. */
export interface CountryRow {
  readonly name: string;
  readonly calls: readonly { readonly number: string; readonly what: string }[];
}
