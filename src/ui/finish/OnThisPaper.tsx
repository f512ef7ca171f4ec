'use client';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { PictureItem } from '@/core/drawing';
import { formatNumber } from '@/core/measure';
import { CheckField } from '../field/CheckField';
import { useDesk } from '../open-job/use-desk';
import { api } from '../shell/api';
import { usePlateView } from '../view/plate-view';
import { gamutAddress, usePictures } from './GamutPicture';

/** Charts are fetched when one is looked at. */
const GreyBalance = dynamic(() => import('./GreyBalance'), { ssr: false });

/** So many pictures are told of; the bench shows all of them. */
const TOLD = 6;

/** What this paper does to pictures: colours that it cannot show, and how its greys lean. */
export function OnThisPaper() {
  const { gamut, plates, set } = usePlateView();
  const [greys, setGreys] = useState(false);
  const pictures = usePictures();
  return (
    <Box sx={{ display: 'grid', gap: 0.75, justifyItems: 'start' }}>
      {pictures.length > 0 && !plates && (
        <CheckField
          label="show what this paper cannot show of pictures"
          checked={gamut}
          onChange={(on) => set({ gamut: on })}
        />
      )}
      {gamut &&
        !plates &&
        pictures.slice(0, TOLD).map((item) => <Outside key={`${item.picture} ${item.from}`} item={item} />)}
      <Button size="small" variant="outlined" onClick={() => setGreys(true)}>
        Grey balance of this paper
      </Button>
      {greys && <GreyBalance onClose={() => setGreys(false)} />}
    </Box>
  );
}

/** How much of a picture is outside the gamut, and how far. */
function Outside({ item }: { readonly item: PictureItem }) {
  const { rules, nameIn } = useDesk();
  const address = gamutAddress(item, rules.conversion);
  const { data, error } = useQuery({
    queryKey: ['gamut', address],
    queryFn: () => api.gamut(address),
    staleTime: Infinity,
  });
  const name = nameIn(item.from) ?? 'a picture';
  return (
    <Box role="status" data-outside={item.from} sx={{ fontSize: 13 }}>
      <b>{name}</b>:{' '}
      {error
        ? 'could not be looked at.'
        : !data
          ? 'looking …'
          : data.share === 0
            ? 'all of it is shown.'
            : `${data.share < 0.001 ? 'less than 0.1' : formatNumber(data.share * 100, 1)} % is outside, by ΔE ` +
              `${formatNumber(data.worst, 0)} at most.`}
    </Box>
  );
}
