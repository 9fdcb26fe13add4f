export const executablePath: string;
export const flat: string[];
export const deep: string[];
