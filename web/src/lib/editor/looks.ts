/** The looks a letter may have; each is one that mail readers of all ages show. */

export const headings = [
  { level: 0, name: 'Paragraph' },
  { level: 1, name: 'Title' },
  { level: 2, name: 'Heading' },
  { level: 3, name: 'Subheading' }
];

export const sizes = [
  { value: '', name: 'As usual' },
  { value: '13px', name: 'Small print' },
  { value: '19px', name: 'Larger' },
  { value: '24px', name: 'Large' }
];

/** Each can be read on white (WCAG 2.2, 1.4.3: at least 4.5 to 1). */
export const colours = [
  { value: '', name: 'As the letterhead says' },
  { value: '#8a2b5c', name: 'Madder' },
  { value: '#9b3a1e', name: 'Brick' },
  { value: '#7a5a10', name: 'Ochre' },
  { value: '#46551f', name: 'Kelp' },
  { value: '#1f474b', name: 'Slate' },
  { value: '#66675c', name: 'Grey' }
];

export const aligns = [
  { value: 'left', name: 'Left' },
  { value: 'center', name: 'Middle' },
  { value: 'right', name: 'Right' }
];
