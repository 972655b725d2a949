import type { Metadata } from 'next';
import { WeatherView } from '@/ui/water/weather/weather-view';

export const metadata: Metadata = { title: 'Water, weather' };

export default function Page() {
  return <WeatherView />;
}
