// SPDX-License-Identifier: GPL-3.0-or-later
#include "theme/theme.hpp"

#include <QFontDatabase>
#include <algorithm>
#include <cmath>

namespace chalkline::app::theme {

QColor Roles::burn_tone(double share) const {
    const double place = std::clamp(share, 0.0, 1.0) * static_cast<double>(burn.size() - 1);
    return burn[static_cast<std::size_t>(std::lround(place))];
}

Roles light() {
    return {.rail = "#24313c",
            .rail_raised = "#3a4a57",
            .rail_text = "#f2f4f5",
            .rail_quiet = "#a9b4bd",
            .rail_dim = "#7d8b96",
            .paper = "#faf8f3",
            .card = "#ffffff",
            .bench = "#dcd7ca",
            .hairline = "#d9d3c5",
            .grid = "#d3cdbc",
            .text = "#22303c",
            .quiet = "#525c65",
            .control = "#857f6d",
            .accent = "#2f6ea8",
            .accent_soft = "#e8f0f7",
            .accent_text = "#ffffff",
            .attention = "#c7822b",
            .attention_text = "#84500e",
            .danger = "#c0392b",
            .danger_text = "#ffffff",
            .danger_outline = "#f3d5d1",
            .running = "#e08b2c",
            .idle = "#58b368",
            .bed = "#e8e4d8",
            .stock = "#e2c492",
            .dark_stock = "#525c65",
            .stock_edge = "#a57a3c",
            .wire_paper = "#24313c",
            .wire_text = "#dfe5e9",
            .burn = {QColor("#f6ead2"), QColor("#eed3a6"), QColor("#dcae74"), QColor("#bd8148"), QColor("#8e5528"),
                     QColor("#5b3217"), QColor("#33190b")}};
}

Roles evening() {
    Roles roles = light();
    roles.paper = "#1f272e";
    roles.card = "#29323a";
    roles.bench = "#13181c";
    roles.hairline = "#3d4852";
    roles.grid = "#2d373f";
    roles.text = "#e9edf0";
    roles.quiet = "#b2bcc4";
    roles.control = "#8b97a2";
    roles.accent = "#79b4e6";
    roles.accent_soft = "#2f4558";
    roles.accent_text = "#0f1d29";
    roles.attention = "#d9994a";
    roles.attention_text = "#f0b463";
    roles.bed = "#222a30";
    roles.stock = "#c8a874";
    roles.dark_stock = "#48525b";
    roles.stock_edge = "#e0bd84";
    roles.wire_paper = "#12171b";
    return roles;
}

namespace {

QFont made(const QString& family, int pixels, QFont::Weight weight) {
    QFont font(family);
    font.setPixelSize(pixels);
    font.setWeight(weight);
    return font;
}

}  // namespace

QFont font(int pixels, QFont::Weight weight) {
    return made("Inter", pixels, weight);
}
QFont mono(int pixels) {
    QFont font = made("JetBrains Mono", pixels, QFont::Normal);
    font.setStyleHint(QFont::Monospace);
    return font;
}

QString style_sheet(const Roles& r) {
    QString sheet = R"(
QWidget { color: @text; font-size: 13px; }
QWidget#window { background: @paper; }
QWidget#tray, QScrollArea#trayScroll, QWidget#trayPage { background: @paper; border: none; }
QWidget#tray { border-left: 1px solid @hairline; }
QLabel[tone="quiet"] { color: @quiet; }
QLabel[tone="attention"] { color: @attention_text; }
QLabel[tone="heading"] { color: @text; font-weight: 600; font-size: 12px; }
QPushButton { background: @card; border: 1px solid @control; border-radius: 5px; padding: 5px 12px; min-height: 18px; }
QPushButton:hover { background: @accent_soft; }
QPushButton:focus { border: 2px solid @accent; padding: 4px 11px; }
QPushButton:disabled, QLineEdit:disabled, QComboBox:disabled { color: @control; border-color: @hairline; background: @paper; }
QPushButton[look="accent"] { background: @accent; color: @accent_text; border-color: @accent; font-weight: 600; }
QPushButton[look="accent"]:focus { border: 2px solid @text; }
QPushButton[look="accent"]:disabled { background: @hairline; color: @quiet; border-color: @hairline; }
QPushButton[look="link"] { background: transparent; border: none; color: @accent; padding: 2px 4px; }
QPushButton[look="link"]:hover { text-decoration: underline; }
QPushButton[look="link"]:focus { border: 1px solid @accent; padding: 1px 3px; }
QPushButton[look="chip"] { border-radius: 11px; padding: 1px 10px; min-height: 18px; font-size: 12px; }
QPushButton[look="chip"]:checked { background: @accent_soft; border: 2px solid @accent; padding: 0px 9px; }
QPushButton[look="chip"]:checked:focus { border-color: @text; }
QPushButton[look="rail"] { background: @rail_raised; color: @rail_text; border: 1px solid @quiet; padding: 7px 14px; }
QPushButton[look="rail"]:hover { background: @quiet; }
QPushButton[look="rail"]:focus { border: 2px solid @rail_text; padding: 6px 13px; }
QPushButton[look="rail"]:disabled { color: @rail_dim; background: @rail; border-color: @rail_raised; }
QPushButton[look="top"] { background: transparent; color: @rail_text; border: 1px solid transparent; padding: 4px 10px; }
QPushButton[look="top"]:hover { background: @rail_raised; }
QPushButton[look="top"]:focus { border: 1px solid @rail_quiet; }
QPushButton[look="top"]:disabled { color: @rail_dim; }
QPushButton[look="top"]:checked { background: @rail_raised; font-weight: 600; }
QPushButton[look="stop"] { background: @danger; color: @danger_text; border: 1px solid @danger_outline; padding: 10px 24px; font-weight: 700; }
QPushButton[look="stop"]:focus { border: 2px solid @rail_text; padding: 9px 23px; }
QLineEdit, QComboBox, QPlainTextEdit { background: @card; border: 1px solid @control; border-radius: 5px; padding: 4px 7px; min-height: 18px;
  selection-background-color: @accent; selection-color: @accent_text; }
QLineEdit:focus, QComboBox:focus, QPlainTextEdit:focus { border: 2px solid @accent; padding: 3px 6px; }
QLineEdit[wrong="true"] { border: 2px solid @attention; padding: 3px 6px; }
QComboBox::drop-down { border: none; width: 20px; }
QComboBox::down-arrow { image: url(:/icons/choose.svg); width: 12px; height: 12px; }
QComboBox QAbstractItemView { background: @card; selection-background-color: @accent; selection-color: @accent_text; }
QLabel[tone="place"] { color: @attention_text; }
QLabel#rotary { color: @rail; background: @attention; border-radius: 4px; padding: 3px 8px; font-weight: 700; }
QLabel[tone="place"]:hover, QLabel[tone="place"]:focus { color: @accent; text-decoration: underline; }
QToolButton { background: @card; border: 1px solid @hairline; border-radius: 5px; padding: 4px; color: @text; }
QToolButton:checked { border: 2px solid @accent; }
QToolButton:focus { border-color: @accent; }
QSlider::groove:horizontal { height: 3px; background: @hairline; border-radius: 1px; }
QSlider::handle:horizontal { width: 13px; margin: -6px 0; border-radius: 7px; background: @card; border: 1px solid @control; }
QSlider::handle:horizontal:focus { border: 2px solid @accent; }
QCheckBox { spacing: 7px; }
QCheckBox::indicator { width: 15px; height: 15px; border: 1px solid @control; border-radius: 3px; background: @card; }
QCheckBox::indicator:checked { background: @accent; border-color: @accent; image: url(:/icons/check.svg); }
QCheckBox:focus, QRadioButton:focus { color: @accent; }
QRadioButton { spacing: 7px; }
QRadioButton::indicator { width: 13px; height: 13px; border: 1px solid @control; border-radius: 7px; background: @card; }
QRadioButton::indicator:checked { border: 4px solid @accent; width: 7px; height: 7px; }
QPlainTextEdit#wireLog { background: @wire_paper; color: @wire_text; border: none; border-radius: 5px; padding: 6px; }
QPlainTextEdit#wireLog:focus { border: 2px solid @accent; padding: 4px; }
QWidget#recipesView, QScrollArea#shelfScroll { background: @bed; border: none; }
QWidget#proofView { background: @bench; }
QWidget#swatchesView, QWidget#swatchBar { background: @paper; }
QWidget#swatchBar { border-bottom: 1px solid @hairline; }
QWidget#cardBook, QWidget#bookPages { background: @bed; }
QFrame#card { background: @paper; border: 1px solid @hairline; border-radius: 7px; }
QTableWidget { background: @card; border: 1px solid @control; border-radius: 5px; outline: none; gridline-color: @hairline;
  selection-background-color: @accent; selection-color: @accent_text; }
QHeaderView { background: @paper; }
QHeaderView::section { background: @paper; color: @quiet; border: none; border-bottom: 1px solid @hairline; padding: 4px 6px; }
QListWidget { background: @card; border: 1px solid @control; border-radius: 5px; outline: none; }
QListWidget:focus { border: 2px solid @accent; }
QListWidget::item { padding: 4px 6px; border-bottom: 1px solid @hairline; color: @text; }
QListWidget::item:selected { background: @accent_soft; color: @text; }
QFrame#sheet { background: @paper; border: 1px solid @control; border-radius: 7px; }
QToolTip { background: @rail; color: @rail_text; border: none; padding: 4px 7px; }
QScrollBar:vertical { background: transparent; width: 8px; margin: 0; }
QScrollBar::handle:vertical { background: @hairline; border-radius: 4px; min-height: 24px; }
QScrollBar::add-line:vertical, QScrollBar::sub-line:vertical { height: 0; }
)";
    const std::pair<const char*, QColor> names[] = {// Longer names first: "@rail" is the beginning of "@rail_text".
                                                    {"@rail_raised", r.rail_raised},
                                                    {"@rail_text", r.rail_text},
                                                    {"@rail_quiet", r.rail_quiet},
                                                    {"@rail_dim", r.rail_dim},
                                                    {"@rail", r.rail},
                                                    {"@accent_soft", r.accent_soft},
                                                    {"@accent_text", r.accent_text},
                                                    {"@accent", r.accent},
                                                    {"@attention_text", r.attention_text},
                                                    {"@attention", r.attention},
                                                    {"@danger_outline", r.danger_outline},
                                                    {"@danger_text", r.danger_text},
                                                    {"@danger", r.danger},
                                                    {"@wire_paper", r.wire_paper},
                                                    {"@wire_text", r.wire_text},
                                                    {"@paper", r.paper},
                                                    {"@bench", r.bench},
                                                    {"@bed", r.bed},
                                                    {"@card", r.card},
                                                    {"@hairline", r.hairline},
                                                    {"@control", r.control},
                                                    {"@quiet", r.quiet},
                                                    {"@text", r.text}};
    for (const auto& [name, colour] : names)
        sheet.replace(name, colour.name());
    return sheet;
}

}  // namespace chalkline::app::theme
