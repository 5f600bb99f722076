/** The calendar of those who look after the nets, with what there is to do. */
export const netsCalendar = [
  'BEGIN:VCALENDAR',
  'VERSION:2.0',
  'PRODID:-//Marrow Point//Nets//EN',
  'BEGIN:VEVENT',
  'UID:nets-open@marrow-point.example',
  'DTSTART;TZID=Europe/London:20260901T061500',
  'DTEND;TZID=Europe/London:20260901T110000',
  'RRULE:FREQ=WEEKLY;BYDAY=TU,TH,SA',
  'SUMMARY:Nets open',
  'LOCATION:Sallow bed',
  'END:VEVENT',
  'BEGIN:VEVENT',
  'UID:ring-order@marrow-point.example',
  'DTSTART;VALUE=DATE:20260904',
  'RRULE:FREQ=MONTHLY;BYDAY=1FR',
  'SUMMARY:Order of rings',
  'END:VEVENT',
  ...(
    [
      ['net-three', 'Mend net three', ''],
      ['poles', 'Grease the poles', ''],
      ['bags', 'Wash the bags', 'STATUS:COMPLETED'],
      ['scales', 'Check the scales', ''],
      ['ledger', 'Copy last week’s ledger', 'STATUS:COMPLETED'],
    ] as const
  ).flatMap(([uid, summary, status]) => [
    'BEGIN:VTODO',
    `UID:${uid}@marrow-point.example`,
    `SUMMARY:${summary}`,
    ...(status ? [status] : []),
    'END:VTODO',
  ]),
  'END:VCALENDAR',
].join('\r\n');
