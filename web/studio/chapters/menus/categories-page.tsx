import { arrayMove } from '@dnd-kit/sortable';
import type { Desk } from '../../../../core/desk/desk.ts';
import { named } from '../../../../core/desk/edits/edit.ts';
import { edits } from '../../../../core/desk/edits/edits.ts';
import { categoryTitles, mainCategories } from '../../../../core/menus/categories.ts';
import { CategoryName, type Menus } from '../../../../core/menus/schema.ts';
import { useDesk } from '../../../session/desk.ts';
import { SelectField } from '../../../ui/choice.tsx';
import { OrderedList } from '../../../ui/ordered-list.tsx';
import { Section } from '../../../ui/section.tsx';
import { TextField } from '../../../ui/text-field.tsx';
import { fieldsOf, sentenceFor } from '../../form/schema.ts';

/** What categories are called on this desk, and in which order they stand. */
export function CategoriesPage({ desk }: { desk: Desk }) {
  const { categories } = desk.menus;
  const set = (next: Menus['categories'], label: string) =>
    useDesk.getState().edit(named(label, edits.setCategories(next)));
  const others = mainCategories.filter((main) => !categories.some(({ category }) => category === main));
  const name = fieldsOf(CategoryName).find(([key]) => key === 'name')?.[1];
  return (
    <Section title="Named here" note="they come first, in this order">
      <OrderedList
        rows={categories.map((entry) => ({
          id: entry.category,
          title: entry.name,
          content: (
            <>
              <TextField
                label={`Name of ${categoryTitles[entry.category]}`}
                value={entry.name}
                check={(text) => (name ? sentenceFor(name, text) : null)}
                onChange={(text) =>
                  set(
                    categories.map((one) => (one === entry ? { ...one, name: text } : one)),
                    'Name of a category',
                  )
                }
              />
              <span className="shrink-0 text-[12px] text-dust">{entry.category}</span>
            </>
          ),
          onRemove: () =>
            set(
              categories.filter((one) => one !== entry),
              'Category by its own name',
            ),
        }))}
        onMove={(id, index) => {
          const from = categories.findIndex(({ category }) => category === id);
          set(arrayMove([...categories], from, index), 'Order of categories');
        }}
        isTall
      />
      {others.length > 0 && (
        <SelectField
          label="Name a category"
          value=""
          placeholder="Name a category"
          choices={others.map((main) => ({ value: main, label: `${categoryTitles[main]} (${main})` }))}
          onChange={(category) =>
            set([...categories, { category, name: categoryTitles[category] }], 'Name a category')
          }
        />
      )}
      <p className="mt-2 text-[12px] text-dust">
        Applications say their categories themselves, by the names of the freedesktop menu specification.
      </p>
    </Section>
  );
}
