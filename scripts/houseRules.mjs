// Rules of this house for the linter, which has none of its own for them.
const ADDRESS = /^\/(donors|stock|builds|types|guide|settings|sums|photos|datasheets)(\/|\?|$)/;

const addressesInRoutes = {
  create: (context) => {
    const refuse = (node, text) => {
      if (ADDRESS.test(text)) context.report({ node, message: 'Addresses stand in src/routes.ts.' });
    };
    return {
      Literal: (node) => typeof node.value === 'string' && refuse(node, node.value),
      TemplateLiteral: (node) => refuse(node, node.quasis[0].value.raw),
    };
  },
};

const rowsStayBelow = {
  create: (context) => ({
    'ExportNamedDeclaration TSQualifiedName[right.name=$inferSelect]': (node) =>
      context.report({ node, message: 'Repositories return the types of core; rows of tables stay below.' }),
  }),
};

const plugin = {
  meta: { name: 'house' },
  rules: { 'addresses-in-routes': addressesInRoutes, 'rows-stay-below': rowsStayBelow },
};

export default plugin;
