/** Which part of the pages may know which: `ui` and `live` below, features, `shell` above. */
export default {
  forbidden: [
    {
      name: 'no-circles',
      comment: 'Whoever needs each other stands in one file, or a third one is missing.',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    {
      name: 'ui-has-no-subject',
      comment: 'Parts that any feature uses know of none.',
      severity: 'error',
      from: { path: '^src/ui/' },
      to: { path: '^src/', pathNot: '^src/(ui|api)/' },
    },
    {
      name: 'live-knows-no-feature',
      comment: 'What the server says is taken in by features; the line itself knows of none.',
      severity: 'error',
      from: { path: '^src/live/' },
      to: { path: '^src/', pathNot: '^src/(live|api)/' },
    },
    {
      name: 'words-and-types-are-below-all',
      severity: 'error',
      from: { path: '^src/(words|api)/' },
      to: { path: '^src/', pathNot: '^src/(words|api|live)/' },
    },
    {
      name: 'shell-is-above-all',
      comment: 'The frame, its tabs and sheets know the features, and none of them knows it.',
      severity: 'error',
      from: { path: '^src/(?!shell/|App.tsx|main.tsx)' },
      to: { path: '^src/(shell/|App.tsx)' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
  },
};
