import type { SignName } from '../names.ts';

/**
 * Other names that sets have for what is drawn, the closest first: of the Icon Naming Specification 0.8.90 and its usual
 * aliases, then words of the language. A name of a set counts where it is one of these; where it has more words, those that
 * have the fewest besides.
 */
export const otherNames: Record<SignName, string> = {
  'start-here': 'distributor-logo main-menu applications-menu menu apps home',
  'application-x-executable':
    'application-default-icon application-x-generic executable application app window',
  'view-app-grid': 'view-grid app-launcher applications-all apps grid layout-grid launcher squares',
  'system-search': 'edit-find search find magnifier magnifying-glass loupe lens',
  'x-office-document': 'office-document document text-document file-text article doc file page paper',
  'x-office-calendar': 'office-calendar calendar-days calendar date schedule agenda',
  'x-office-address-book': 'address-book contacts contact book-user people users',
  'x-office-spreadsheet': 'spreadsheet table sheet calc cells',
  'applications-maps': 'maps map compass navigation location map-pin atlas globe-pin',
  'applications-science': 'science applications-education flask lab laboratory beaker microscope test-tube',
  'applications-games': 'games game gamepad controller joystick puzzle dice',
  'applications-graphics': 'graphics palette paint brush paintbrush paint-brush drawing pen-tool',
  'applications-multimedia': 'multimedia media clapperboard film play-circle video-player',
  'applications-internet': 'internet network-workgroup world globe web',
  'applications-system':
    'preferences-system systemsettings system-settings settings preferences gear cog sliders',
  'applications-utilities': 'utilities applications-accessories tools tool wrench toolbox hammer',
  'audio-x-generic': 'audio music-note music sound song note headphones audio-file waveform',
  'video-x-generic': 'video film movie clip camera-video video-file',
  'image-x-generic': 'image picture photo photograph gallery image-file',
  'text-x-generic': 'text text-plain file-text plain-text notes-text txt',
  'internet-mail':
    'emblem-mail mail-client mail-unread mail-read mail-message email mail envelope letter inbox post',
  'web-browser': 'internet-web-browser browser globe world web earth',
  'camera-photo': 'camera photo-camera applets-screenshooter shutter photo',
  'system-file-manager':
    'file-manager files folders file-cabinet cabinet drawer file-browser folder-open folder',
  folder: 'inode-directory folder-default directory folder-closed',
  'user-home': 'folder-home go-home home house',
  'user-trash': 'trashcan-empty edit-delete trash trash-can bin waste delete rubbish',
  'utilities-terminal': 'terminal console prompt command-line shell command square-terminal code',
  'accessories-calculator': 'calculator calc sums',
  'accessories-text-editor': 'text-editor editor notepad note-edit edit-text edit pencil pen notebook',
  'office-calendar': 'x-office-calendar calendar calendar-date date schedule agenda',
  'help-browser': 'help-contents help-about help system-help question question-mark info lifebuoy',
  'multimedia-player': 'media-player media-playback-start music-player player play ipod speaker',
  'network-idle':
    'network-wireless network-wired network-wireless-signal-excellent wifi wireless network ethernet signal',
  'network-transmit-receive':
    'network-receive network-transmit transfer arrows-up-down up-down arrow-up-down data-transfer',
  'network-offline':
    'network-error network-wireless-offline network-disconnected wifi-off wireless-off offline disconnected no-network',
  'speedometer-low': 'cpu-low gauge-low utilities-system-monitor-low speed-low slow',
  'speedometer-middle':
    'utilities-system-monitor system-monitor speedometer gauge cpu processor dashboard speed activity',
  'speedometer-high': 'cpu-high gauge-high speed-high fast',
  'weather-clear': 'sun sunny day-sunny clear-day clear',
  'weather-clear-night': 'moon night night-clear clear-night moon-stars',
  'weather-few-clouds': 'partly-cloudy cloud-sun partly-cloudy-day few-clouds',
  'weather-showers': 'rain cloud-rain rainy showers',
  'weather-few-clouds-night': 'cloud-moon partly-cloudy-night night-cloudy',
  'weather-overcast': 'cloud cloudy clouds overcast',
  'weather-fog': 'fog mist cloud-fog haze',
  'weather-showers-scattered': 'drizzle cloud-drizzle showers-scattered light-rain',
  'weather-snow': 'snow cloud-snow snowflake snowy',
  'weather-storm': 'storm thunderstorm cloud-lightning lightning thunder',
  battery: 'battery-full battery-good battery-medium battery-half battery-charged',
  'audio-volume-high': 'audio-volume-medium stock-volume-max volume-high volume volume-up speaker sound loud',
  printer: 'printer-network document-print print',
  computer: 'video-display desktop monitor pc display screen laptop',
  'drive-harddisk': 'drive-hard-disk harddisk hard-drive hard-disk hdd disk drive storage',
  'system-lock-screen': 'lock-screen changes-prevent lock padlock locked',
  'system-suspend': 'suspend sleep system-hibernate moon-star standby',
  'system-reboot': 'reboot restart view-refresh refresh rotate reload',
  'system-log-out': 'application-exit log-out logout sign-out exit leave',
  'window-minimize': 'minimize minimise window-minimise minus',
  'window-maximize': 'maximize maximise window-maximise window-restore square expand',
  'window-close': 'dialog-close process-stop close cross',
  'media-skip-backward': 'skip-back skip-backward previous prev backward rewind',
  'media-skip-forward': 'skip-forward next forward fast-forward',
  'media-playback-start': 'player-play play start',
  'media-playback-pause': 'player-pause pause',
};

/** Words that make something else of a name: what has one of them is no likeness. */
export const otherMeanings: ReadonlySet<string> = new Set(
  (
    'off no not slash add plus new minus remove delete x cancel cross search edit check alert warning error question ' +
    'lock unlock share download upload up down left right heart star settings cog exclamation disabled missing'
  ).split(' '),
);
