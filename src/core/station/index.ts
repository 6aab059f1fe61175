export {
  STATION_LABEL,
  stationInHand,
  stationLine,
  STATIONS,
  type DonorFacts,
  type StationName,
  type StationState,
  type StationSummary,
} from './stations';
