<?php

declare(strict_types=1);

namespace MillStep\Core\Measure;

enum SizeSystem: string
{
    case Number = 'number';
    case Letter = 'letter';
    case FractionInch = 'fraction_inch';
    case DecimalInch = 'decimal_inch';
    case Metric = 'metric';
}
