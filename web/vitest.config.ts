export default {
  test: {
    include: ['src/**/*.test.ts'],
    setupFiles: ['src/test-setup.ts'],
    testTimeout: 60_000, // what is wrong stays wrong, and a busy machine is slow
  },
};
