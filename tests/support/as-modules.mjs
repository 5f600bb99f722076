// Tests are loaded as modules, not by require: whatever they fetch later by import() is then the very copy of the core
// that they use. (mocha decides by this which of the two it tries first.)
Object.defineProperty(process.features, 'require_module', { value: false });
