// A lint rule: what comes from outside is never looked up in a plain object, where `constructor` and `__proto__` are
// there without anybody having put them there. Objects with an index signature are asked through `lookUp`
// (core/values/look-up.ts) or are Maps; objects whose keys the type checker knows may be asked by those keys.
import { ESLintUtils } from '@typescript-eslint/utils';
import ts from 'typescript';

export default {
  meta: {
    type: 'problem',
    schema: [],
    messages: { open: 'Looks up "{{key}}" in a plain object that may have any keys: use lookUp() or a Map.' },
  },
  create(context) {
    const services = ESLintUtils.getParserServices(context);
    const checker = services.program.getTypeChecker();
    const isText = (type) =>
      (type.isUnion() ? type.types : [type]).some(({ flags }) => (flags & ts.TypeFlags.String) !== 0);
    const isOpen = (type) =>
      (type.isUnion() ? type.types : [type]).some(
        (one) =>
          !checker.isArrayLikeType(one) &&
          (one.flags & ts.TypeFlags.StringLike) === 0 &&
          one.getStringIndexType() !== undefined,
      );
    return {
      MemberExpression(node) {
        if (!node.computed || node.property.type === 'Literal') return;
        const key = services.getTypeAtLocation(node.property);
        if (!isText(checker.getBaseConstraintOfType(key) ?? key)) return;
        const object = services.getTypeAtLocation(node.object);
        if (!isOpen(checker.getBaseConstraintOfType(object) ?? object)) return;
        context.report({ node, messageId: 'open', data: { key: context.sourceCode.getText(node.property) } });
      },
    };
  },
};
