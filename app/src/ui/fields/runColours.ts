/** What a run of a yarn may be drawn in: apart from each other in grey as well. */
export const RUN_COLOURS: readonly { id: string; name: string }[] = [
  { id: '#1F4E5F', name: 'deep sea' },
  { id: '#E9D8A6', name: 'sand' },
  { id: '#A63D2F', name: 'rust' },
  { id: '#B7D3C8', name: 'foam' },
  { id: '#4F6D3A', name: 'kelp' },
  { id: '#F2B84B', name: 'amber' },
  { id: '#6B4A7D', name: 'plum' },
  { id: '#F4F1EA', name: 'chalk' },
  { id: '#7A8B99', name: 'slate' },
  { id: '#D98C9A', name: 'rose' },
  { id: '#2B2B2B', name: 'peat' },
  { id: '#8FB7DD', name: 'sky' },
];
