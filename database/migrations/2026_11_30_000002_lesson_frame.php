<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('learning_lessons', function (Blueprint $table): void {
            $table->jsonb('frame')->nullable()->comment('opening, misconceptions, words, card, adaptations, ending');
        });
    }

    public function down(): void
    {
        Schema::table('learning_lessons', function (Blueprint $table): void {
            $table->dropColumn('frame');
        });
    }
};
