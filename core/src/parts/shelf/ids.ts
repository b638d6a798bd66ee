import type chargers from '@sprocket/catalogue/shelf/chargers.json';
import type consumables from '@sprocket/catalogue/shelf/consumables.json';
import type fittings from '@sprocket/catalogue/shelf/fittings.json';
import type services from '@sprocket/catalogue/shelf/services.json';
import type tools from '@sprocket/catalogue/shelf/tools.json';

/** Parts of the catalogue that remedies name, so that a slip in a name does not compile. */
export type SmallPartId =
  keyof typeof fittings | keyof typeof consumables | keyof typeof services | keyof typeof chargers;
export type ToolId = keyof typeof tools;
