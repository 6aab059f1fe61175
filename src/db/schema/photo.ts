import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { Match, PhotoSide } from '../../core/photo';
import type { StationName } from '../../core/station';
import { createdMs, deletedMs, key } from './columns';
import { donors } from './donor';

/** A photo of a donor. The pictures lie beside the database under their content's hash. */
export const photos = sqliteTable(
  'photos',
  {
    id: key(),
    donorId: text('donor_id')
      .notNull()
      .references(() => donors.id),
    hash: text('hash').notNull(),
    widthPx: integer('width_px').notNull(),
    heightPx: integer('height_px').notNull(),
    caption: text('caption').notNull().default(''),
    station: text('station').$type<StationName>().notNull(),
    side: text('side').$type<PhotoSide>().notNull().default(''),
    isMirrored: integer('is_mirrored', { mode: 'boolean' }).notNull().default(false),
    createdMs: createdMs(),
    deletedMs: deletedMs(),
  },
  (t) => [index('photos_donor').on(t.donorId), index('photos_hash').on(t.hash)],
);

/** A numbered pin on a photo, at shares of its width and height. */
export const photoPins = sqliteTable(
  'photo_pins',
  {
    id: key(),
    photoId: text('photo_id')
      .notNull()
      .references(() => photos.id),
    number: integer('number').notNull(),
    xShare: real('x_share').notNull(),
    yShare: real('y_share').notNull(),
    note: text('note').notNull().default(''),
    createdMs: createdMs(),
    deletedMs: deletedMs(),
  },
  (t) => [index('photo_pins_photo').on(t.photoId)],
);

/** Where a pin of a part, such as `Q1.D`, is seen on a photo, at shares of its width and height. */
export const pinSpots = sqliteTable(
  'pin_spots',
  {
    id: key(),
    photoId: text('photo_id')
      .notNull()
      .references(() => photos.id),
    pin: text('pin').notNull(),
    xShare: real('x_share').notNull(),
    yShare: real('y_share').notNull(),
    createdMs: createdMs(),
    deletedMs: deletedMs(),
  },
  (t) => [index('pin_spots_photo').on(t.photoId)],
);

/** Front and back of a board, paired by three spots. */
export const photoPairs = sqliteTable(
  'photo_pairs',
  {
    id: key(),
    frontId: text('front_id')
      .notNull()
      .references(() => photos.id),
    backId: text('back_id')
      .notNull()
      .references(() => photos.id),
    matches: text('matches', { mode: 'json' }).$type<Match[]>().notNull(),
    createdMs: createdMs(),
    deletedMs: deletedMs(),
  },
  (t) => [index('photo_pairs_front').on(t.frontId), index('photo_pairs_back').on(t.backId)],
);
