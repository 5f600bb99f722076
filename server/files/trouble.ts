/** What keeps the server from writing or reading its own files. */
export interface DiskTrouble {
  kind: 'full' | 'read-only' | 'damaged' | 'busy' | 'failing';
  /** For a person. */
  sentence: string;
}

const full: DiskTrouble = {
  kind: 'full',
  sentence: 'The disk of the server is full; nothing was changed. It goes on once there is room.',
};
const readOnly: DiskTrouble = {
  kind: 'read-only',
  sentence: 'The server may not write to its data folder; nothing was changed.',
};
const damaged: DiskTrouble = {
  kind: 'damaged',
  sentence: 'The server’s database is damaged; nothing was changed. Put a copy of it back.',
};
const busy: DiskTrouble = {
  kind: 'busy',
  sentence: 'Another program holds the server’s database; nothing was changed. It is tried again.',
};
const failing: DiskTrouble = {
  kind: 'failing',
  sentence: 'The disk of the server can’t be written or read; nothing was changed.',
};

/** By the codes of the system and of SQLite (its extended codes begin with the plain ones). */
const byCode: readonly (readonly [RegExp, DiskTrouble])[] = [
  [/^(ENOSPC|EDQUOT|EFBIG|SQLITE_FULL)$/, full],
  [/^(EROFS|EACCES|EPERM|SQLITE_READONLY\w*|SQLITE_CANTOPEN\w*|SQLITE_PERM)$/, readOnly],
  [/^(SQLITE_CORRUPT\w*|SQLITE_NOTADB)$/, damaged],
  [/^(SQLITE_BUSY\w*|SQLITE_LOCKED\w*)$/, busy],
  [/^(EIO|EMFILE|ENFILE|SQLITE_IOERR\w*)$/, failing],
];

/** What of an error (or of what caused it) is the disk's doing; null where nothing is. */
export function diskTrouble(error: unknown): DiskTrouble | null {
  for (let at = error, depth = 0; typeof at === 'object' && at !== null && depth < 8; depth++) {
    const { code, cause } = at as { code?: unknown; cause?: unknown };
    const found = typeof code === 'string' ? byCode.find(([codes]) => codes.test(code)) : undefined;
    if (found) return found[1];
    at = cause;
  }
  return null;
}
