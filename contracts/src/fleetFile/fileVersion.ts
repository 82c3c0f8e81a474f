/** Versions of book and fleet files that are read: the first said components in free words. */
export const FILE_VERSIONS = [1, 2] as const;
export type FileVersion = (typeof FILE_VERSIONS)[number];

/** The version that is written. */
export const FILE_VERSION = 2;
