/** Debian's Chromium for pages alone: a sixth quicker in these tests, and knows no permissions, cameras or tabs to record. */
export const CHROMIUM = '/usr/bin/chromium-headless-shell';
/** Debian's Chromium as people have it, without a window. */
export const CHROMIUM_WITH_DEVICES = '/usr/bin/chromium';
