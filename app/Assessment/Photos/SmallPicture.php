<?php

declare(strict_types=1);

namespace App\Assessment\Photos;

use App\Support\Refusal;
use GdImage;

/**
 * A photograph as it is kept: drawn anew, upright and small, so that nothing is left of what else the file carried (where it was
 * taken, a second file behind the first).
 */
final readonly class SmallPicture
{
    public const MOST_BYTES = 12 * 1024 * 1024;

    /** Twelve megapixels, and some more: what a phone or a tablet takes. Beyond it a few bytes could fill the memory. */
    private const MOST_PIXELS = 16_000_000;

    private const LONG_SIDE = 1600;

    private const QUALITY = 82;

    private const TYPES = [IMAGETYPE_JPEG, IMAGETYPE_PNG, IMAGETYPE_WEBP];

    private function __construct(public string $jpeg, public int $width, public int $height)
    {
    }

    /** @throws Refusal `picture_too_large`, `no_picture`, `picture_and_more` */
    public static function of(string $bytes): self
    {
        if (strlen($bytes) > self::MOST_BYTES) {
            throw Refusal::because('picture_too_large');
        }
        $size = @getimagesizefromstring($bytes);
        if ($size === false || ! in_array($size[2], self::TYPES, true) || $size[0] < 1 || $size[1] < 1) {
            throw Refusal::because('no_picture');
        }
        if ($size[0] * $size[1] > self::MOST_PIXELS) {
            throw Refusal::because('picture_too_large');
        }
        self::endsWithItself($bytes, $size[2]) || throw Refusal::because('picture_and_more');
        $picture = @imagecreatefromstring($bytes);
        if ($picture === false) {
            throw Refusal::because('no_picture');
        }
        $picture = self::small(self::upright($picture, $bytes, $size[2]));
        ob_start();
        imagejpeg($picture, null, self::QUALITY);

        return new self((string) ob_get_clean(), imagesx($picture), imagesy($picture));
    }

    /** A file that goes on behind its picture is two files. */
    private static function endsWithItself(string $bytes, int $type): bool
    {
        return match ($type) {
            IMAGETYPE_JPEG => str_ends_with(rtrim($bytes, "\0"), "\xFF\xD9"),
            IMAGETYPE_PNG => str_ends_with($bytes, "\0\0\0\0IEND\xAE\x42\x60\x82"),
            default => self::riffLength($bytes) === strlen($bytes),
        };
    }

    private static function riffLength(string $bytes): int
    {
        $length = unpack('V', substr($bytes, 4, 4));

        return 8 + (is_array($length) && is_int($length[1] ?? null) ? $length[1] + $length[1] % 2 : 0);
    }

    /** A camera writes down how it was held; without that the picture would lie on its side. */
    private static function upright(GdImage $picture, string $bytes, int $type): GdImage
    {
        $said = $type === IMAGETYPE_JPEG && function_exists('exif_read_data')
            ? @exif_read_data('data://image/jpeg;base64,'.base64_encode(substr($bytes, 0, 131_072))) : false;
        $turn = match (is_array($said) ? $said['Orientation'] ?? 1 : 1) {
            3 => 180,
            6 => 270,
            8 => 90,
            default => 0,
        };
        $turned = $turn === 0 ? $picture : imagerotate($picture, $turn, 0);

        return $turned === false ? $picture : $turned;
    }

    private static function small(GdImage $picture): GdImage
    {
        [$width, $height] = [imagesx($picture), imagesy($picture)];
        $part = min(1.0, self::LONG_SIDE / max($width, $height));
        $small = imagecreatetruecolor(max(1, (int) round($width * $part)), max(1, (int) round($height * $part)));
        // What was clear is paper.
        imagefill($small, 0, 0, (int) imagecolorallocate($small, 255, 255, 255));
        imagecopyresampled($small, $picture, 0, 0, 0, 0, imagesx($small), imagesy($small), $width, $height);

        return $small;
    }
}
