/** Can the browser show it? A file may call itself a JPEG and be none. */
export async function isPicture(address: string): Promise<boolean> {
  const image = new Image();
  image.src = address;
  return image.decode().then(
    () => true,
    () => false,
  );
}
