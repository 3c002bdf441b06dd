// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <QColor>
#include <QFont>
#include <QString>
#include <array>

namespace chalkline::app::theme {

/// What a colour is for. No widget names a colour; it asks for a role.
struct Roles {
    QColor rail, rail_raised, rail_text, rail_quiet, rail_dim;
    QColor paper, card, bench, hairline, grid;
    QColor text, quiet, control;
    QColor accent, accent_soft, accent_text;
    QColor attention, attention_text;
    QColor danger, danger_text, danger_outline;
    QColor running, idle;
    QColor bed, stock, dark_stock, stock_edge, wire_paper, wire_text;  ///< dark_stock: slate and what else burns light
    std::array<QColor, 7> burn;                                        ///< burn tones, light to dark

    /// The burn tone at a share of the scale, 0 light … 1 dark.
    QColor burn_tone(double share) const;
};

Roles light();
/// The same roles for a dark room. Rail and burn tones stay: material does not change its colour in the evening.
Roles evening();

/// The type sizes of the house, px.
inline constexpr int tiny = 11, small = 12, normal = 13, large = 17, huge = 34;
/// Inter in one of the sizes, figures tabular, falling back to the desktop's font.
QFont font(int pixels, QFont::Weight weight = QFont::Normal);
/// JetBrains Mono, for the wire log and positions.
QFont mono(int pixels);

/// Style of all standard controls. Buttons carry a dynamic property "look": accent, plain (none), flat, rail, stop.
QString style_sheet(const Roles& roles);

}  // namespace chalkline::app::theme
