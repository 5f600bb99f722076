// A lint rule: what is known of one kind of widget, or of what stands in windows, stands in its own folder or in a list
// by kind. Elsewhere no kind is asked for by its name: a new one would have to be thought of there too.
import { ESLintUtils } from '@typescript-eslint/utils';

/** Two kinds of each list: a type that has both is the type of all of that list. */
const lists = [
  ['tiles', 'spectrum'],
  ['terminal', 'letter'],
];

export default {
  meta: {
    type: 'problem',
    schema: [],
    messages: {
      named: 'Asks for the kind "{{name}}" by its name: say it of the kind, or in a list by kind.',
    },
  },
  create(context) {
    const services = ESLintUtils.getParserServices(context);
    const isOfKinds = (node) => {
      const type = services.getTypeAtLocation(node);
      const values = new Set((type.isUnion() ? type.types : []).map(({ value }) => value));
      return lists.some((names) => names.every((name) => values.has(name)));
    };
    function check(node, value, other) {
      if (value.type === 'Literal' && typeof value.value === 'string' && isOfKinds(other))
        context.report({ node, messageId: 'named', data: { name: value.value } });
    }
    return {
      BinaryExpression(node) {
        if (!/^[!=]==$/.test(node.operator)) return;
        check(node, node.left, node.right);
        check(node, node.right, node.left);
      },
      SwitchCase(node) {
        if (node.test) check(node, node.test, node.parent.discriminant);
      },
    };
  },
};
