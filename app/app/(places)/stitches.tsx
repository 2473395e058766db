export { Stitches as default } from '@/stitches/Stitches';
