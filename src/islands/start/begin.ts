/** Makes the class of a request under the title typed, or under another where none was, and opens it. */
export type Begin = (request: Readonly<Record<string, unknown>>, otherwise?: string) => void;
