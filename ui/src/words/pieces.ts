/** How many pieces there are, in words, so that no count stands among the sizes. */
export const pieces = (count: number) => `${count} ${count === 1 ? "piece" : "pieces"}`;
