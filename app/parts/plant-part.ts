/** The parts of a plant's sheet that an address can ask to be opened. */
export const PLANT_PARTS = ['spots', 'came-of-it', 'what', 'edit'] as const;
export type PlantPart = (typeof PLANT_PARTS)[number];

export const isPlantPart = (text: string | undefined): text is PlantPart => PLANT_PARTS.some((part) => part === text);
