import { Applications } from '../shapes/applications.ts';
import { defineSection } from './section.ts';

export const applications = defineSection({
  key: 'applications',
  title: 'Applications',
  schema: Applications,
  kits: [],
  // Their ids are apart from those of parts: an application may be called as a widget is.
  check({ applications: list }, _, say) {
    const seen = new Set<string>();
    list.forEach(({ id }, index) => {
      if (seen.has(id)) say(['applications', index, 'id'], `is used twice: "${id}"`);
      seen.add(id);
    });
  },
});
