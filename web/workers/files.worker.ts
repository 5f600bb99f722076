import { readEntryFiles } from '../../core/applications/entry-files.ts';
import { readColours } from '../../core/exchange/read.ts';
import { readSourceList } from '../../core/sources/headlines/source-list.ts';
import { readPlaylist } from '../../core/sound/playlists.ts';
import { offer } from './offer.ts';

/** What files are read by; what each takes and gives crosses over as plain data. */
const readers = { readPlaylist, readColours, readSourceList, readEntryFiles };
export type Readers = typeof readers;

offer(readers);
