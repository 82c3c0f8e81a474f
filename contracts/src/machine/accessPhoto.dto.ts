/** A photo of how something is opened on a machine. */
export class AccessPhotoDto {
  /** what is opened, as the sheet names it */
  access!: string;
  /** path of the photo */
  path!: string;
}
