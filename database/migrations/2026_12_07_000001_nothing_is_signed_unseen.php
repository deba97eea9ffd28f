<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // When a tablet says that a mark was made, where that could not be: after now, or before the sheet was opened.
        Schema::table('assessment_marks', fn (Blueprint $table) => $table->timestampTz('said_at', 3)->nullable());
    }
};
