/** A value that can stand in a document. */
export type Json = string | number | boolean | null | readonly Json[] | { readonly [key: string]: Json };

/** Gives a new id each time it is called; the caller owns chance. */
export type NewId = () => string;
