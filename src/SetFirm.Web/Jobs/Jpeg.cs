namespace SetFirm.Web.Jobs;

/// <summary>A JPEG without what a camera writes beside the picture: place, time, maker.</summary>
/// <remarks>Source: ITU-T T.81, annex B: segments of a marker and a length up to the start of scan; comments and APP1 to APP15 are left out, save APP14, which says how colours are coded.</remarks>
internal static class Jpeg
{
    private const byte Start = 0xD8;
    private const byte End = 0xD9;
    private const byte Scan = 0xDA;
    private const byte App0 = 0xE0;
    private const byte App14 = 0xEE;
    private const byte App15 = 0xEF;
    private const byte Comment = 0xFE;

    /// <returns>Null where it is no JPEG, or breaks off.</returns>
    public static byte[]? Plain(ReadOnlySpan<byte> image)
    {
        if (image.Length < 4 || image[0] != 0xFF || image[1] != Start || image[^2] != 0xFF || image[^1] != End)
        {
            return null;
        }

        using var plain = new MemoryStream(image.Length);
        plain.Write(image[..2]);
        var at = 2;
        while (at + 4 <= image.Length && image[at] == 0xFF)
        {
            var marker = image[at + 1];
            var length = (image[at + 2] << 8) + image[at + 3];
            if (length < 2 || at + 2 + length > image.Length)
            {
                return null;
            }

            if (marker == Scan)
            {
                plain.Write(image[at..]);
                return plain.ToArray();
            }

            if (marker is App14 or not (> App0 and <= App15 or Comment))
            {
                plain.Write(image.Slice(at, 2 + length));
            }

            at += 2 + length;
        }

        return null;
    }
}
