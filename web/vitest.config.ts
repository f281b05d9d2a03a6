export default { test: { include: ['src/**/*.test.ts'], setupFiles: ['src/test-setup.ts'] } };
