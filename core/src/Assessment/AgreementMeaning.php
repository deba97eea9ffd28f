<?php

declare(strict_types=1);

namespace MillStep\Core\Assessment;

/** What a kappa is worth in words, after Landis and Koch (1977). */
enum AgreementMeaning: string
{
    case WorseThanChance = 'worse_than_chance';
    case Slight = 'slight';
    case Fair = 'fair';
    case Moderate = 'moderate';
    case Substantial = 'substantial';
    case AlmostPerfect = 'almost_perfect';
    /** All verdicts are the same on both sides: chance alone would have it so. */
    case Undetermined = 'undetermined';

    public static function of(?float $kappa): self
    {
        return match (true) {
            $kappa === null => self::Undetermined,
            $kappa < 0 => self::WorseThanChance,
            $kappa <= 0.2 => self::Slight,
            $kappa <= 0.4 => self::Fair,
            $kappa <= 0.6 => self::Moderate,
            $kappa <= 0.8 => self::Substantial,
            default => self::AlmostPerfect,
        };
    }
}
